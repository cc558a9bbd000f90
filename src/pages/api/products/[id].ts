import { costsRequest, idPath } from '../../../contract/schemas';
import { setCosts } from '../../../server/economics/products';
import { endpoint } from '../../../server/http/endpoint';

export const PUT = endpoint({
  may: 'own',
  path: idPath,
  body: costsRequest,
  run: async ({ path: { id }, body: { account, costs }, caller }) => {
    await setCosts(caller, account, id, costs);
    return { kept: true };
  },
});
