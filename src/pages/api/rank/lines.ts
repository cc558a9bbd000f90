import { rankLinesQuery } from '../../../contract/rankSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadRankLines } from '../../../server/rank/loadRankLines';

/** Ranks of a product, for the panel of a row. */
export const GET = endpoint({
  may: 'see',
  query: rankLinesQuery,
  owned: ({ query: { account, product } }) => ({ account, product: [product] }),
  run: ({ query: { account, product, term } }) => loadRankLines(account, product, term),
});
