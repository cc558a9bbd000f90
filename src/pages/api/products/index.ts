import { accountQuery } from '../../../contract/schemas';
import { loadProducts } from '../../../server/economics/products';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadProducts(account),
});
