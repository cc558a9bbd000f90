import type { Swath } from '../../contract/field';
import { MowingError } from '../../contract/mowingError';
import { deleteSwath, listSwaths, upsertSwath } from '../../db/queries/swaths';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

export async function loadSwaths(accountId: number): Promise<Swath[]> {
  await needAccount(accountId);
  return listSwaths(db(), accountId);
}

/** Keeps a stack of conditions by name; one of the same name is replaced. */
export async function keepSwath(caller: Caller, accountId: number, swath: Omit<Swath, 'id'>): Promise<Swath> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, note) => {
    const id = await upsertSwath(tx, accountId, swath);
    note({ what: 'keep swath', subject: `swath ${id}`, to: swath });
    return { id, ...swath };
  });
}

/** Removes a swath. @throws MowingError when it is gone already */
export async function removeSwath(
  caller: Caller,
  accountId: number,
  id: number,
): Promise<{ removed: boolean }> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, note) => {
    if (!(await deleteSwath(tx, accountId, id)))
      throw new MowingError('not-found', `There is no swath ${id} any more.`);
    note({ what: 'remove swath', subject: `swath ${id}` });
    return { removed: true };
  });
}
