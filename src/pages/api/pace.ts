import { spendPlanRemoval, spendPlanRequest } from '../../contract/moneySchemas';
import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadPace, removeSpendPlan, setSpendPlan } from '../../server/money/spendPlans';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadPace(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: spendPlanRequest,
  run: async ({ body: { account, ...plan }, caller }) => {
    await setSpendPlan(caller, account, plan);
    return { kept: true };
  },
});

export const DELETE = endpoint({
  may: 'decide',
  body: spendPlanRemoval,
  run: async ({ body: { account, ...plan }, caller }) => {
    await removeSpendPlan(caller, account, plan);
    return { removed: true };
  },
});
