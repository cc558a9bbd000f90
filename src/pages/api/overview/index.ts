import { monthGoalRequest } from '../../../contract/moneySchemas';
import { overviewQuery } from '../../../contract/fieldSchemas';
import { loadOverview, setMonthGoal } from '../../../server/field/loadOverview';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: overviewQuery,
  run: ({ query: { account, ...asked } }) => loadOverview(account, asked),
});

export const PUT = endpoint({
  may: 'decide',
  body: monthGoalRequest,
  run: async ({ body: { account, ...goal }, caller }) => {
    await setMonthGoal(caller, account, goal);
    return { kept: true };
  },
});
