import type { SchedulesAnswer, WeekPrice } from '../../contract/schedules';
import { groupBy } from '../../core/order';
import { readWeek } from '../../core/schedules';
import { addDays, formatDay } from '../../core/units';
import {
  listBudgetUse,
  listNamedWeeks,
  listOwnBids,
  listRunningCampaigns,
  listRunningSchedules,
} from '../../db/queries/schedules';
import { listRunningTrials } from '../../db/queries/weekTrials';
import { hoursByCampaign, monthsUnder, planHours } from '../../plans/hours';
import { accountInfo, needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { columnsOf, readWeekRows, weeksOf } from './weekRows';

/** Weeks that schedules are planned from. */
export const PLANNED_FROM = 12;

/** The account's schedules, and what its hours propose. */
export async function loadSchedules(accountId: number): Promise<SchedulesAnswer> {
  const { plan, ...parts } = await planSchedules(accountId);
  const { offered, named, running, window } = parts;
  const { worth, proposal, rows } = plan;
  return {
    offered,
    named,
    running,
    window: window && { from: window.from, to: window.to },
    worth,
    proposal,
    rows,
  };
}

/** The same with all that it was planned from. */
export async function planSchedules(accountId: number) {
  const account = await needAccount(accountId);
  const { options, limits } = accountInfo(account);
  const [window, named, running, campaigns, trials] = await Promise.all([
    weeksOf(account, PLANNED_FROM),
    listNamedWeeks(db(), accountId),
    listRunningSchedules(db(), accountId),
    listRunningCampaigns(db(), accountId),
    listRunningTrials(db(), accountId),
  ]);
  const figures = columnsOf(await readWeekRows({ account: accountId, scope: 'account', scopeId: 0 }, window));
  const offered = options?.schedules ?? null;
  const used = window
    ? await listBudgetUse(db(), accountId, addDays(window.to, 1 - USED_OVER), window.to)
    : [];
  const inTrial = new Set(trials.flatMap((trial) => trial.campaigns));
  const plan = planHours({
    figures,
    weeks: window?.weeks ?? 1,
    raisesOnly: offered === 'raise only',
    isOffered: offered !== null && offered !== false,
    campaigns,
    running,
    named,
    inTrial,
    used: new Map(used.map(({ id, share }) => [id, share])),
    bids: await bidsToLower(accountId, offered, campaigns),
    newName: window ? `Pattern to ${formatDay(window.to)}` : 'Pattern',
  });
  return { offered, limits, named, running, campaigns, window, figures, plan, inTrial };
}

/** Days over which it is seen what campaigns use of their budgets. */
const USED_OVER = 28;

/** Own bids by campaign, where schedules can only raise. */
async function bidsToLower(
  accountId: number,
  offered: SchedulesAnswer['offered'],
  campaigns: readonly { id: number }[],
) {
  if (offered !== 'raise only') return new Map<number, { targetId: number; bid: number }[]>();
  const bids = await listOwnBids(
    db(),
    accountId,
    campaigns.map(({ id }) => id),
  );
  return groupBy(bids, ({ campaignId }) => campaignId);
}

/** What a week would do in some campaigns, in a month. */
export async function priceOfWeek(accountId: number, campaigns: number[], text: string): Promise<WeekPrice> {
  const { figures, running, window, plan } = await planSchedules(accountId);
  const hours = hoursByCampaign(figures);
  const price: WeekPrice = {
    spend: 0,
    sales: 0,
    offHours: 0,
    off: { spend: 0, sales: 0 },
    now: { spend: 0, sales: 0 },
  };
  const week = readWeek(text)!;
  for (const id of campaigns) {
    const own = hours.get(id);
    if (!own) continue;
    const followed = running.find(({ campaignId }) => campaignId === id);
    const { now, after, off, offHours } = monthsUnder(
      own,
      plan.factorOf(id),
      window!.weeks,
      week,
      followed ? readWeek(followed.week) : null,
    );
    price.spend += after.spend - now.spend;
    price.sales += after.sales - now.sales;
    price.off = { spend: price.off.spend + off.spend, sales: price.off.sales + off.sales };
    price.now = { spend: price.now.spend + now.spend, sales: price.now.sales + now.sales };
    price.offHours = offHours;
  }
  return price;
}
