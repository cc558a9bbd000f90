import { addDays, formatDay } from '../../core/units';
import type { AsideRequest, TargetAside } from '../../contract/bids';
import { MowingError } from '../../contract/mowingError';
import { insertNote } from '../../db/queries/notes';
import { dropTargetAside, keepTargetAside, listTargetAside } from '../../db/queries/targetAside';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';

/** Days after which a target is proposed again: one put off comes back in the next round. */
const DAYS = { left: 30, later: 7, 'accepted-loss': 60 };

/** Targets whose bid is not proposed now. */
export async function loadTargetAside(accountId: number): Promise<{ aside: TargetAside[] }> {
  const account = await needAccount(accountId);
  return { aside: await listTargetAside(db(), accountId, todayOf(account)) };
}

/**
 * Puts targets aside until a day, or takes them back. An accepted loss is written down among the target's notes too: it is
 * to be found after it has ended.
 * @throws MowingError when the day has passed
 */
export async function putTargetsAside(request: AsideRequest): Promise<{ targets: number; until: string }> {
  const { account: accountId, targetIds, verdict, note = '' } = request;
  const today = todayOf(await needAccount(accountId));
  if (verdict === 'back') {
    await dropTargetAside(db(), accountId, targetIds);
    return { targets: targetIds.length, until: today };
  }
  const until = request.until ?? addDays(today, DAYS[verdict]);
  if (until <= today)
    throw new MowingError(
      'bad-request',
      `${formatDay(until)} has passed; choose a day after ${formatDay(today)}.`,
    );
  await db().begin(async (tx) => {
    await keepTargetAside(tx, accountId, targetIds, { verdict, until, note });
    if (verdict !== 'accepted-loss') return;
    const text = `Loss accepted until ${formatDay(until)}${note === '' ? '' : `: ${note}`}`;
    for (const id of targetIds)
      await insertNote(tx, accountId, { subject: `target ${id}`, text, day: today });
  });
  return { targets: targetIds.length, until };
}
