import { accountQuery } from '../../contract/schemas';
import { loadRevision } from '../../server/accounts/accounts';
import { endpoint } from '../../server/http/endpoint';

/** Which state of an account's figures and entities is the newest: an open page asks now and then. */
export const GET = endpoint({
  may: 'see',
  isLight: true,
  query: accountQuery,
  run: ({ query: { account } }) => loadRevision(account),
});
