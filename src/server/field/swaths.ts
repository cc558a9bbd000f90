import type { Swath } from '../../contract/field';
import { MowingError } from '../../contract/mowingError';
import { deleteSwath, listSwaths, upsertSwath } from '../../db/queries/swaths';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

export async function loadSwaths(accountId: number): Promise<Swath[]> {
  await needAccount(accountId);
  return listSwaths(db(), accountId);
}

/** Keeps a stack of conditions by name; one of the same name is replaced. */
export async function keepSwath(accountId: number, swath: Omit<Swath, 'id'>): Promise<Swath> {
  await needAccount(accountId);
  return { id: await upsertSwath(db(), accountId, swath), ...swath };
}

/** Removes a swath. @throws MowingError when it is gone already */
export async function removeSwath(accountId: number, id: number): Promise<{ removed: boolean }> {
  if (!(await deleteSwath(db(), accountId, id)))
    throw new MowingError('not-found', `There is no swath ${id} any more.`);
  return { removed: true };
}
