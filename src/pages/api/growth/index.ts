import { growthQuery, newGrowthRequest } from '../../../contract/growthSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { loadGrowth } from '../../../server/standing/growth/loadGrowth';
import { beginGrowth, loadGrowthPlans } from '../../../server/standing/growth/plans';

/** All plans of an account, or one of them whole. */
export const GET = endpoint({
  may: 'see',
  query: growthQuery,
  owned: ({ query: { account, id } }) => ({ account, rule: id === undefined ? [] : [id] }),
  run: ({ query: { account, id } }) =>
    id === undefined ? loadGrowthPlans(account) : loadGrowth(account, id),
});

/** Begins a plan; it is changed and switched on like every rule. */
export const POST = endpoint({
  may: 'decide',
  body: newGrowthRequest,
  owned: ({ body: { account, productId } }) => ({ account, product: [productId] }),
  status: 201,
  run: ({ body, caller }) => beginGrowth(caller, body),
});
