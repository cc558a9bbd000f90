import { rankDaysQuery } from '../../../contract/rankSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadRankDays } from '../../../server/rank/loadRankDays';

/** A product's term day by day. */
export const GET = endpoint({
  may: 'see',
  query: rankDaysQuery,
  owned: ({ query: { account, product } }) => ({ account, product: [product] }),
  run: ({ query: { account, product, term, days, from, to } }) =>
    loadRankDays(account, product, term, days ?? { from: from!, to: to! }),
});
