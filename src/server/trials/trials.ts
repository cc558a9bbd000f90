import type { NewChange } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import type { TrialOf, TrialRequest } from '../../contract/trials';
import { inverseOf, isReplaced } from '../../core/changes';
import {
  listRunningTrials,
  insertSwitch,
  insertTrial,
  listSwitches,
  listTrials,
} from '../../db/queries/weekTrials';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { sendBale } from '../changes/sendBale';
import { stageChanges, stageIn, withdraw } from '../changes/stageChanges';
import { listChanges } from '../changes/listChanges';
import { db } from '../context/context';
import { changesToFollow } from '../hours/schedules';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { stopTrial } from './tendTrials';

/** Ids of whatever may have been made: only whether a change can be taken back is asked. */
const ANY_MADE = { targetId: 1, negativeId: 1, scheduleId: 1 };

/**
 * Begins a trial: its changes are sent at once, and are on in the weeks of its pattern from today.
 * @throws MowingError where a campaign is in another trial, nothing would change, or a change cannot be taken back
 */
export async function startTrial(
  caller: Caller,
  { account: accountId, name, of, weeks, bounds }: TrialRequest,
): Promise<{ id: number; trouble: string }> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError(
      'conflict',
      `${account.name} is fed by files: a trial has to switch by itself, and nobody would carry it out. Nothing was begun.`,
    );
  const { changes, campaigns } = await changesOf(accountId, of);
  await checkTrial(accountId, changes, campaigns);
  if (of.does === 'staged') await withdraw(caller, accountId, of.ids);
  const { id, changeIds } = await recorded(caller, accountId, async (tx, note) => {
    const staged = await stageIn(tx, accountId, changes);
    const own = staged.filter((one) => one !== null);
    if (own.length < changes.length)
      throw new MowingError(
        'conflict',
        'Some of these changes wait in the tray already. Send them or take them out first; nothing was begun.',
      );
    const firstDay = todayOf(account);
    const trial = {
      name,
      campaigns,
      changes,
      firstDay,
      weeks,
      rankBound: bounds.rank,
      salesBound: bounds.sales,
    };
    const made = await insertTrial(tx, accountId, trial);
    await insertSwitch(tx, accountId, made, { week: 0, isOn: true, day: firstDay, changeIds: own });
    note({ what: 'begin trial', subject: `trial ${made}`, to: { name, weeks, changes: changes.length } });
    return { id: made, changeIds: own };
  });
  const { trouble } = await sendBale(caller, accountId, changeIds);
  return { id, trouble };
}

async function changesOf(
  accountId: number,
  of: TrialOf,
): Promise<{ changes: NewChange[]; campaigns: number[] }> {
  if (of.does === 'follow') {
    const byCampaign = await changesToFollow(accountId, of.campaigns, of.follow, of.bases);
    return {
      changes: [...byCampaign.values()].flatMap(({ down, made }) => [...down, ...made]),
      campaigns: of.campaigns,
    };
  }
  const rows = await listChanges(db(), accountId, { ids: of.ids, state: 'staged' });
  if (rows.length < of.ids.length)
    throw new MowingError(
      'conflict',
      'Some of these changes are not in the tray any more. Load the page again; nothing was begun.',
    );
  return {
    changes: rows.map(({ change, reason, figures, effectSpend, effectSales }) => ({
      change,
      reason,
      figures,
      effect: { spend: effectSpend, sales: effectSales },
    })),
    campaigns: [...new Set(rows.flatMap(({ campaignId }) => campaignId ?? []))],
  };
}

async function checkTrial(accountId: number, changes: readonly NewChange[], campaigns: readonly number[]) {
  if (changes.length === 0)
    throw new MowingError('conflict', 'Nothing would change: the campaigns stand as they are to be.');
  const final = changes.find(({ change }) => !isReplaced(change) || inverseOf(change, ANY_MADE) === null);
  if (final)
    throw new MowingError(
      'bad-request',
      'A trial takes changes that can be switched on and off: bids, budgets, modifiers, states, and schedules of campaigns that follow none. Nothing was begun.',
    );
  const busy = (await listRunningTrials(db(), accountId)).find((trial) =>
    trial.campaigns.some((id) => campaigns.includes(id)),
  );
  if (busy)
    throw new MowingError(
      'conflict',
      `The trial “${busy.name}” switches one of these campaigns already. Wait for it, or stop it; nothing was begun.`,
    );
}

/** Stops a trial that runs: its changes go off. Or stages what it tried, to stay. @throws MowingError when there is none such */
export async function actOnTrial(
  caller: Caller,
  accountId: number,
  id: number,
  does: 'stop' | 'keep',
): Promise<{ staged: number[] }> {
  const account = await needAccount(accountId);
  const [trial] = await listTrials(db(), accountId, { id });
  if (!trial) throw new MowingError('not-found', `There is no trial ${id}.`);
  if (does === 'stop') {
    if (trial.state !== 'running') throw new MowingError('conflict', 'It runs no more.');
    await stopTrial(caller, account, trial, 'Stopped by hand.');
    return { staged: [] };
  }
  if (trial.state === 'running')
    throw new MowingError('conflict', 'It still switches by itself. Stop it first; nothing was staged.');
  const last = (await listSwitches(db(), accountId, id)).at(-1);
  if (last?.isOn) throw new MowingError('conflict', 'Its changes are on already.');
  const staged = await stageChanges(caller, accountId, trial.changes);
  return { staged: staged.filter((one) => one !== null) };
}
