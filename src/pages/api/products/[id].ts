import { costsRequest, importPath } from '../../../contract/schemas';
import { setCosts } from '../../../server/economics/products';
import type { ProductCosts } from '../../../server/economics/products';
import { endpoint, readBody, readPath } from '../../../server/http/endpoint';

export const PUT = endpoint(async (context) => {
  const { id } = readPath<{ id: number }>(context, importPath);
  const { account, costs } = await readBody<{ account: number; costs: ProductCosts }>(context, costsRequest);
  await setCosts(account, id, costs);
  return { kept: true };
});
