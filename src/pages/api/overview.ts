import type { MonthGoal } from '../../contract/field';
import { monthGoalRequest, overviewQuery } from '../../contract/schemas';
import { loadOverview, setMonthGoal } from '../../server/field/loadOverview';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const { account, from, to } = readQuery<{ account: number; from?: string; to?: string }>(
    context,
    overviewQuery,
  );
  return loadOverview(account, from, to);
});

export const PUT = endpoint(async (context) => {
  const { account, ...goal } = await readBody<MonthGoal & { account: number }>(context, monthGoalRequest);
  await setMonthGoal(account, goal);
  return { kept: true };
});
