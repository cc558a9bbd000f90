import { accountQuery, goalRemoval, goalRequest } from '../../contract/schemas';
import { loadGoals, removeGoal, setGoal } from '../../server/economics/goals';
import type { Goal } from '../../server/economics/goals';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadGoals(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) => {
  const { account, ...goal } = await readBody<Goal & { account: number }>(context, goalRequest);
  await setGoal(account, goal);
  return { kept: true };
});

export const DELETE = endpoint(async (context) => {
  const { account, scope, scopeId } = await readBody<Goal & { account: number }>(context, goalRemoval);
  await removeGoal(account, scope, scopeId);
  return { removed: true };
});
