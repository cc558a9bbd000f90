import { windowQuery } from '../../contract/schemas';
import { loadWindow } from '../../server/accounts/chooseWindow';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: windowQuery,
  run: ({ query: { account, from, to } }) => loadWindow(account, from, to),
});
