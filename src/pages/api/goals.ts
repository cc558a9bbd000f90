import { accountQuery, goalRemoval, goalRequest } from '../../contract/schemas';
import { loadGoals, removeGoal, setGoal } from '../../server/economics/goals';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadGoals(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: goalRequest,
  run: async ({ body: { account, ...goal }, caller }) => {
    await setGoal(caller, account, goal);
    return { kept: true };
  },
});

export const DELETE = endpoint({
  may: 'decide',
  body: goalRemoval,
  run: async ({ body: { account, scope, scopeId }, caller }) => {
    await removeGoal(caller, account, scope, scopeId);
    return { removed: true };
  },
});
