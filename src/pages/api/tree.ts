import { accountQuery } from '../../contract/schemas';
import { loadTree } from '../../server/field/loadTree';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadTree(account),
});
