import { addDays } from '../../core/units';
import { BID_QUEUE, campaignSubject, idsOfSubject, targetSubject } from '../../contract/aside';
import type { Aside, AsideRequest } from '../../contract/aside';
import { dropAside, keepAside, listAside } from '../../db/queries/aside';
import { endLosses } from '../../db/queries/losses';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { acceptIn, needComing } from './acceptLosses';
import { standingLosses } from './losses';

/** Days after which something is proposed again: what is put off comes back in the next round. */
const DAYS = { left: 30, later: 7, 'accepted-loss': 60 };

/** What is not to be proposed now: what was put aside, and the bids of what a loss is accepted for. */
export async function loadAside(accountId: number): Promise<{ aside: Aside[] }> {
  const account = await needAccount(accountId);
  const [aside, losses] = await Promise.all([
    listAside(db(), accountId, todayOf(account)),
    standingLosses(accountId),
  ]);
  const accepted = losses.flatMap(({ subject, until, note, targets }): Aside[] => {
    const one = { verdict: 'accepted-loss' as const, until, note };
    const [id] = idsOfSubject(subject);
    return [
      ...targets.map((target) => ({ queue: BID_QUEUE, subject: targetSubject(target), ...one })),
      // A campaign's placements are bids too.
      ...(subject === campaignSubject(id) ? [{ queue: 'placements', subject, ...one }] : []),
    ];
  });
  return { aside: [...aside, ...accepted] };
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
      if (queue === BID_QUEUE) await endLosses(tx, accountId, subjects, today);
      write({ what: 'take back', subject: queue, to: { subjects } });
    });
    return { count: subjects.length, until: today };
  }
  const until = request.until ?? addDays(today, DAYS[verdict]);
  needComing(until, today);
  await recorded(caller, accountId, async (tx, write) => {
    if (verdict === 'accepted-loss')
      await acceptIn(tx, accountId, subjects, { today, until, note, most: request.most ?? null });
    else await keepAside(tx, accountId, subjects, { queue, verdict, until, note });
    write({ what: `put aside: ${verdict}`, subject: queue, to: { subjects, until, note } });
  });
  return { count: subjects.length, until };
}
