import { monthGoalRequest, windowQuery } from '../../contract/schemas';
import { loadOverview, setMonthGoal } from '../../server/field/loadOverview';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: windowQuery,
  run: ({ query: { account, from, to } }) => loadOverview(account, from, to),
});

export const PUT = endpoint({
  may: 'decide',
  body: monthGoalRequest,
  run: async ({ body: { account, ...goal }, caller }) => {
    await setMonthGoal(caller, account, goal);
    return { kept: true };
  },
});
