import type { NewChange } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import type { FollowAnswer, FollowRequest, NamedWeek } from '../../contract/schedules';
import { PLAIN_WEEK, readWeek, weekWords } from '../../core/schedules';
import { keepNamedWeek, listNamedWeeks, listOwnBids, removeNamedWeek } from '../../db/queries/schedules';
import {
  basesDown,
  hoursByCampaign,
  monthsUnder,
  RAISED_FROM_BELOW,
  scheduleChanges,
} from '../../plans/hours';
import { needAccount } from '../accounts/accounts';
import { stageChanges } from '../changes/stageChanges';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { planSchedules } from './loadSchedules';

/**
 * Keeps a week by a name. @param was the name that it had; another one with the new name is not written over
 * @throws MowingError 'conflict' when the new name is taken
 */
export async function keepWeek(
  caller: Caller,
  accountId: number,
  next: NamedWeek,
  was: string | null,
): Promise<void> {
  await needAccount(accountId);
  await recorded(caller, accountId, async (tx, note) => {
    const known = await listNamedWeeks(tx, accountId);
    if (next.name !== was && known.some(({ name }) => name === next.name))
      throw new MowingError(
        'conflict',
        `There is a schedule “${next.name}” already. Choose another name; nothing was changed.`,
      );
    if (was !== null && was !== next.name) await removeNamedWeek(tx, accountId, was);
    await keepNamedWeek(tx, accountId, next);
    const from = known.find(({ name }) => name === was);
    note({ what: 'keep schedule', subject: `schedule ${next.name}`, ...(from && { from }), to: next });
  });
}

/** Forgets a named week; campaigns that follow it go on doing so. @throws MowingError when there is none of the name */
export async function dropWeek(caller: Caller, accountId: number, name: string): Promise<void> {
  await needAccount(accountId);
  await recorded(caller, accountId, async (tx, note) => {
    const from = (await listNamedWeeks(tx, accountId)).find((one) => one.name === name);
    if (!(await removeNamedWeek(tx, accountId, name)))
      throw new MowingError('not-found', `There is no schedule “${name}” any more.`);
    note({ what: 'drop schedule', subject: `schedule ${name}`, from });
  });
}

/** Stages what puts campaigns on a week, or ends their schedules. */
export async function follow(
  caller: Caller,
  { account, campaigns, follow: wanted, bases }: FollowRequest,
): Promise<FollowAnswer> {
  const changes = await changesToFollow(account, campaigns, wanted, bases);
  const all: NewChange[] = [];
  for (const { down, made } of changes.values()) {
    for (const one of down) all.push(one);
    // What ends one schedule goes before what begins another.
    for (const [place, one] of made.entries())
      all.push(place === 0 ? one : { ...one, after: all.length - 1 });
  }
  const staged = all.length === 0 ? [] : await stageChanges(caller, account, all);
  return {
    staged: staged.filter((id) => id !== null),
    asIs: [...changes.values()].filter(({ made }) => made.length === 0).length,
  };
}

/** The changes that it takes, by campaign. @throws MowingError where the market has no schedules */
export async function changesToFollow(
  accountId: number,
  campaigns: readonly number[],
  wanted: NamedWeek | null,
  bases: number,
): Promise<Map<number, { down: NewChange[]; made: NewChange[] }>> {
  const { offered, limits, figures, running, window, plan, inTrial } = await planSchedules(accountId);
  if (offered === null || offered === false)
    throw new MowingError(
      'conflict',
      'This account’s market has no schedules by hour. Nothing was staged; bids can still be moved by hand.',
    );
  const held = campaigns.filter((id) => inTrial.has(id));
  if (held.length > 0)
    throw new MowingError(
      'conflict',
      `${held.length === 1 ? 'A campaign is' : `${held.length} campaigns are`} in a trial that switches by itself. Stop that first; nothing was staged.`,
    );
  const hours = hoursByCampaign(figures);
  const week = wanted === null ? PLAIN_WEEK : readWeek(wanted.week)!;
  const reason =
    wanted === null ? 'Bids go by no schedule any more.' : `Follows “${wanted.name}”: ${weekWords(week)}.`;
  const bids = bases === 1 ? [] : await listOwnBids(db(), accountId, [...campaigns]);
  return new Map(
    campaigns.map((campaignId) => {
      const followed = running.find((one) => one.campaignId === campaignId) ?? null;
      const own = hours.get(campaignId);
      const before = followed ? readWeek(followed.week) : null;
      const none = { spend: 0, sales: 0 };
      const month = (one: typeof week) =>
        own ? monthsUnder(own, plan.factorOf(campaignId), window!.weeks, one, before).after : none;
      const part = { campaignId, running: followed, now: month(before ?? PLAIN_WEEK), after: month(week) };
      const row = plan.rows.find((one) => one.campaignId === campaignId);
      // What is proposed is told as proposed: by what its pattern promises.
      const told = row && wanted && row.week === wanted.week ? { now: row.now, after: row.after } : {};
      const made = scheduleChanges({ ...part, ...told }, wanted, reason);
      const down = basesDown(
        bids.filter((one) => one.campaignId === campaignId),
        bases,
        RAISED_FROM_BELOW,
        limits,
      );
      return [campaignId, { made, down: made.length > 0 ? down : [] }];
    }),
  );
}
