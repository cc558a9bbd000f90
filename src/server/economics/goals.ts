import { raiseRevision } from '../../db/queries/accounts';
import type { Goal } from '../../core/goals';
import type { GoalsAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import type { Query } from '../../db/connection';
import { deleteGoal, listGoals, listScopes, upsertGoals } from '../../db/queries/economics';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

export type { Goal };

/** The targets of an account by scope, and what else one could stand on. */
export async function loadGoals(accountId: number): Promise<GoalsAnswer> {
  const account = await needAccount(accountId);
  const [goals, scopes] = await Promise.all([listGoals(db(), accountId), listScopes(db(), accountId)]);
  return { accountAcos: account.targetAcos, goals, scopes };
}

/** Sets a target. @throws MowingError when there is nothing it could stand on */
export async function setGoal(caller: Caller, accountId: number, goal: Goal): Promise<void> {
  await needAccount(accountId);
  if (goal.scope !== 'account') {
    const scopes = await listScopes(db(), accountId);
    if (!scopes.some(({ scope, id }) => scope === goal.scope && id === goal.scopeId))
      throw new MowingError(
        'not-found',
        `The account has no ${goal.scope.replace('-', ' ')} ${goal.scopeId}.`,
      );
  }
  await recorded(caller, accountId, async (tx, note) => {
    const from = await goalAt(tx, accountId, goal);
    await upsertGoals(tx, accountId, [goal]);
    await raiseRevision(tx, accountId);
    note({ what: 'set target', subject: placeOf(goal), from, to: goal });
  });
}

export async function removeGoal(
  caller: Caller,
  accountId: number,
  scope: Goal['scope'],
  scopeId: number,
): Promise<void> {
  await needAccount(accountId);
  await recorded(caller, accountId, async (tx, note) => {
    const from = await goalAt(tx, accountId, { scope, scopeId });
    await deleteGoal(tx, accountId, scope, scopeId);
    await raiseRevision(tx, accountId);
    note({ what: 'remove target', subject: placeOf({ scope, scopeId }), from });
  });
}

type GoalPlace = Pick<Goal, 'scope' | 'scopeId'>;
const placeOf = ({ scope, scopeId }: GoalPlace) => `${scope} ${scopeId}`;

async function goalAt(tx: Query, accountId: number, { scope, scopeId }: GoalPlace) {
  return (await listGoals(tx, accountId)).find((one) => one.scope === scope && one.scopeId === scopeId);
}
