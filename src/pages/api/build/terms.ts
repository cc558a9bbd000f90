import { sourceQuery } from '../../../contract/buildSchemas';
import { loadSource } from '../../../server/build/sources';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: sourceQuery,
  owned: ({ query: { account, product } }) => ({ account, product: [product] }),
  run: ({ query: { account, product, from } }) => loadSource(account, product, from),
});
