import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadTests } from '../../server/standing/tests/loadTests';

/** What tests may cost, and what they bought. */
export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadTests(account),
});
