import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadFindings } from '../../server/structure/loadFindings';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadFindings(account),
});
