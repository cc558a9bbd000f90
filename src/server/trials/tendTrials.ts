import { MowingError } from '../../contract/mowingError';
import { estimateTrial, isOnWeek, leftBound, nextSwitch, verdictOf, weekOfTrial } from '../../core/trials';
import { formatFullDay, formatShare } from '../../core/units';
import type { AccountRow } from '../../db/queries/accounts';
import { findAccount } from '../../db/queries/accounts';
import { listChangeRows, listUndoing } from '../../db/queries/changes';
import { endTrial, insertSwitch, listRunningTrials, listSwitches } from '../../db/queries/weekTrials';
import type { TrialRow, TrialSwitch } from '../../db/queries/weekTrials';
import { todayOf } from '../accounts/today';
import { sendBale } from '../changes/sendBale';
import { undoChanges } from '../changes/undoChanges';
import { db, log } from '../context/context';
import { MOWING, recorded } from '../trail';
import type { Caller } from '../trail';
import { settledWeeks, watchedOf } from './weeksKnown';

/** Switches the trials of an account that are due, stops those that leave a bound, and ends those whose weeks are told. */
export async function tendTrials(accountId: number): Promise<void> {
  const account = await findAccount(db(), accountId);
  if (!account) return;
  for (const trial of await listRunningTrials(db(), accountId))
    await tend(account, trial).catch((error: unknown) =>
      // The next sync tries again; the trial shows by its switches that it is behind.
      log().warn({ err: error, trial: trial.id }, 'a trial could not be tended'),
    );
}

/** The first day after another on which a trial of the account switches; null for none. */
export async function nextSwitchOf(accountId: number, after: string): Promise<string | null> {
  const days = (await listRunningTrials(db(), accountId)).flatMap(
    ({ firstDay, weeks }) => nextSwitch(firstDay, weeks, after) ?? [],
  );
  return days.sort()[0] ?? null;
}

async function tend(account: AccountRow, trial: TrialRow): Promise<void> {
  const week = weekOfTrial(trial.firstDay, todayOf(account));
  const isOver = week >= trial.weeks;
  await switchTo(MOWING, account, trial, !isOver && isOnWeek(Math.max(0, week)), Math.min(week, trial.weeks));
  const { known, isOver: isTold } = await settledWeeks(account, trial);
  const estimate = estimateTrial(known, trial.weeks);
  const verdict = verdictOf(estimate, isTold);
  if (isTold) {
    await end(MOWING, account, trial, { state: 'ended', why: null, verdict: { verdict, estimate } });
    return;
  }
  if (verdict === 'worse')
    return stopTrial(
      MOWING,
      account,
      trial,
      'Stopped by itself: it surely sells less while it is on, even counting that it is looked at each week.',
    );
  const moves = await watchedOf(account, trial);
  const left = leftBound(moves, { sales: trial.salesBound, rank: trial.rankBound });
  if (left !== null)
    await stopTrial(
      MOWING,
      account,
      trial,
      left === 'sales'
        ? `Stopped by itself: all sales of its products fell by ${formatShare(-moves.sales!, 0)} against those of the others, more than ${formatShare(trial.salesBound, 0)}.`
        : `Stopped by itself: organic places of its products fell, their numbers rose by ${formatShare(moves.rank!, 0)}, more than ${formatShare(trial.rankBound, 0)}.`,
    );
}

/** Ends a trial before its time: its changes go off. */
export async function stopTrial(
  caller: Caller,
  account: AccountRow,
  trial: TrialRow,
  why: string,
): Promise<void> {
  await switchTo(caller, account, trial, false, weekOfTrial(trial.firstDay, todayOf(account)));
  const { known } = await settledWeeks(account, trial);
  const estimate = estimateTrial(known, trial.weeks);
  await end(caller, account, trial, {
    state: 'stopped',
    why,
    verdict: { verdict: verdictOf(estimate, false), estimate },
  });
}

async function end(
  caller: Caller,
  account: AccountRow,
  { id, name }: TrialRow,
  told: Pick<Parameters<typeof endTrial>[3], 'state' | 'why' | 'verdict'>,
): Promise<void> {
  await recorded(caller, account.id, async (tx, note) => {
    if (await endTrial(tx, account.id, id, { ...told, endedOn: todayOf(account) }))
      note({ what: `trial ${told.state}`, subject: `trial ${id}`, to: { name, why: told.why } });
  });
}

/** Brings a trial's changes on or off, by undoing what it did last. What was set otherwise by hand since is left so. */
async function switchTo(
  caller: Caller,
  account: AccountRow,
  trial: TrialRow,
  isOn: boolean,
  week: number,
): Promise<void> {
  const last = (await listSwitches(db(), account.id, trial.id)).at(-1);
  if (!last || last.isOn === isOn) return;
  const changeIds = await undoing(caller, account.id, last);
  const day = todayOf(account);
  const staged = await listChangeRows(db(), account.id, { ids: changeIds, state: 'staged' });
  if (staged.length > 0)
    await sendBale(
      caller,
      account.id,
      staged.map(({ id }) => id),
    );
  await recorded(caller, account.id, async (tx, note) => {
    // A stop can come in the week of a switch: the week after is then what it is written under.
    await insertSwitch(tx, account.id, trial.id, {
      week: Math.max(week, last.week + 1),
      isOn,
      day,
      changeIds,
    });
    note({
      what: `switch trial ${isOn ? 'on' : 'off'}`,
      subject: `trial ${trial.id}`,
      to: { day: formatFullDay(day) },
    });
  });
}

/** The changes that undo a switch: those that an earlier try has made, else new ones. @throws MowingError while it has no answer */
async function undoing(caller: Caller, accountId: number, { changeIds }: TrialSwitch): Promise<number[]> {
  const rows = await listChangeRows(db(), accountId, { ids: changeIds });
  if (rows.some(({ state }) => state === 'staged' || state === 'sending'))
    throw new MowingError('conflict', 'The last switch has no answer of the market yet.');
  const made = await listUndoing(db(), accountId, changeIds);
  const open = rows.filter(({ state, undone }) => state === 'accepted' && !undone).map(({ id }) => id);
  if (open.length === 0) return made;
  const { ids } = await undoChanges(caller, { account: accountId, ids: open, changed: 'leave' });
  return [...made, ...ids];
}
