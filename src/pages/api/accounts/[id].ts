import { accountChange, importPath } from '../../../contract/schemas';
import { changeAccount } from '../../../server/accounts/accounts';
import { endpoint, readBody, readPath } from '../../../server/http/endpoint';

export const PATCH = endpoint(async (context) => {
  const { id } = readPath<{ id: number }>(context, importPath);
  return changeAccount(id, await readBody(context, accountChange));
});
