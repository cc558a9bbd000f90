import { MowingError } from '../../contract/mowingError';
import { findForeign } from '../../db/queries/owned';
import type { Owned } from '../../db/queries/owned';
import { db } from '../context/context';

/** Ids that are asked for, by what they are of. */
export type Named = Partial<Record<Owned, readonly number[]>>;

/** @throws MowingError 'not-found' for an id that the account does not have: whose it is instead, or whether it is, is not told */
export async function needOwned(accountId: number, named: Named): Promise<void> {
  for (const [kind, ids] of Object.entries(named) as [Owned, readonly number[]][]) {
    if (ids.length === 0) continue;
    const foreign = await findForeign(db(), accountId, kind, ids);
    if (foreign !== undefined)
      throw new MowingError(
        'not-found',
        `The account has no ${kind} ${foreign}. Load the page again; nothing was changed.`,
      );
  }
}
