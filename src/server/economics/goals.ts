import type { Goal } from '../../core/goals';
import type { GoalsAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import { deleteGoal, listGoals, listScopes, upsertGoals } from '../../db/queries/economics';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

export type { Goal };

/** The targets of an account by scope, and what else one could stand on. */
export async function loadGoals(accountId: number): Promise<GoalsAnswer> {
  const account = await needAccount(accountId);
  const [goals, scopes] = await Promise.all([listGoals(db(), accountId), listScopes(db(), accountId)]);
  return { accountAcos: account.targetAcos, goals, scopes };
}

/** Sets a target. @throws MowingError when there is nothing it could stand on */
export async function setGoal(accountId: number, goal: Goal): Promise<void> {
  await needAccount(accountId);
  if (goal.scope !== 'account') {
    const scopes = await listScopes(db(), accountId);
    if (!scopes.some(({ scope, id }) => scope === goal.scope && id === goal.scopeId))
      throw new MowingError(
        'not-found',
        `The account has no ${goal.scope.replace('-', ' ')} ${goal.scopeId}.`,
      );
  }
  await upsertGoals(db(), accountId, [goal]);
}

export async function removeGoal(accountId: number, scope: Goal['scope'], scopeId: number): Promise<void> {
  await deleteGoal(db(), accountId, scope, scopeId);
}
