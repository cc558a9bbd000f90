import { accountQuery } from '../../contract/schemas';
import { loadTree } from '../../server/field/loadTree';
import { endpoint, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadTree(readQuery<{ account: number }>(context, accountQuery).account),
);
