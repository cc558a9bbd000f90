import { hoursQuery } from '../../contract/hoursSchemas';
import { endpoint } from '../../server/http/endpoint';
import { loadHours } from '../../server/hours/loadHours';

export const GET = endpoint({
  may: 'see',
  query: hoursQuery,
  owned: ({ query: { account, scope, scopeId } }) => ({
    account,
    ...(scope === 'campaign' && { campaign: [scopeId] }),
    ...(scope === 'product' && { product: [scopeId] }),
  }),
  run: ({ query }) => loadHours(query),
});
