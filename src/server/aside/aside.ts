import { addDays, formatDay } from '../../core/units';
import type { Aside, AsideRequest } from '../../contract/aside';
import { MowingError } from '../../contract/mowingError';
import { dropAside, keepAside, listAside } from '../../db/queries/aside';
import { insertNote } from '../../db/queries/notes';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** Days after which something is proposed again: what is put off comes back in the next round. */
const DAYS = { left: 30, later: 7, 'accepted-loss': 60 };

/** What is not to be proposed now. */
export async function loadAside(accountId: number): Promise<{ aside: Aside[] }> {
  const account = await needAccount(accountId);
  return { aside: await listAside(db(), accountId, todayOf(account)) };
}

/**
 * Puts proposals aside until a day, or takes them back. An accepted loss is written down among the subject's notes too: it is
 * to be found after it has ended.
 * @throws MowingError when the day has passed
 */
export async function putAside(
  caller: Caller,
  request: AsideRequest,
): Promise<{ count: number; until: string }> {
  const { account: accountId, queue, subjects, verdict, note = '' } = request;
  const today = todayOf(await needAccount(accountId));
  if (verdict === 'back') {
    await recorded(caller, accountId, async (tx, write) => {
      await dropAside(tx, accountId, queue, subjects);
      write({ what: 'take back', subject: queue, to: { subjects } });
    });
    return { count: subjects.length, until: today };
  }
  const until = request.until ?? addDays(today, DAYS[verdict]);
  if (until <= today)
    throw new MowingError(
      'bad-request',
      `${formatDay(until, today)} has passed; choose a day after ${formatDay(today, today)}.`,
    );
  await recorded(caller, accountId, async (tx, write) => {
    await keepAside(tx, accountId, subjects, { queue, verdict, until, note });
    write({ what: `put aside: ${verdict}`, subject: queue, to: { subjects, until, note } });
    if (verdict !== 'accepted-loss') return;
    const text = `Loss accepted until ${formatDay(until, today)}${note === '' ? '' : `: ${note}`}`;
    for (const subject of subjects) await insertNote(tx, accountId, { subject, text, day: today });
  });
  return { count: subjects.length, until };
}
