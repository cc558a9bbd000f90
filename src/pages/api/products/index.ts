import { accountQuery } from '../../../contract/schemas';
import { loadProducts } from '../../../server/economics/products';
import { endpoint, readQuery } from '../../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadProducts(readQuery<{ account: number }>(context, accountQuery).account),
);
