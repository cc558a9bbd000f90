import { treeQuery } from '../../contract/fieldSchemas';
import { loadTree, loadTreeColumns } from '../../server/field/loadTree';
import { asksForColumns, columnsAnswer } from '../../server/http/columnsAnswer';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: treeQuery,
  run: async ({ query: { account, targets }, request }) =>
    asksForColumns(request)
      ? columnsAnswer(request, await loadTreeColumns(account, { targets }))
      : loadTree(account, { targets }),
});
