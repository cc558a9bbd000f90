import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadTrail } from '../../server/audit/loadTrail';

/** Who did what, newest first. */
export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadTrail(account),
});
