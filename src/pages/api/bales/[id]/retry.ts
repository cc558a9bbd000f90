import { accountQuery, importPath } from '../../../../contract/schemas';
import { deliverBale } from '../../../../server/changes/sendBale';
import { endpoint, readPath, readQuery } from '../../../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { id } = readPath<{ id: number }>(context, importPath);
  const { account } = readQuery<{ account: number }>(context, accountQuery);
  return { baleId: id, trouble: await deliverBale(account, id) };
});
