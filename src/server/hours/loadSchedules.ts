import type { SchedulesAnswer, WeekPrice } from '../../contract/schedules';
import { groupBy } from '../../core/order';
import { readWeek } from '../../core/schedules';
import type { AdGroupNode, CampaignNode } from '../../core/structure';
import { addDays, formatDay } from '../../core/units';
import type { Day } from '../../core/units';
import { listDailySpend, listNamedWeeks, listOwnBids, listSchedules } from '../../db/queries/schedules';
import { listRunningTrials } from '../../db/queries/weekTrials';
import { hoursByCampaign, monthsUnder, planHours } from '../../plans/hours';
import { accountInfo, needAccount } from '../accounts/accounts';
import { loadStood } from '../changes/loadStood';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keptRead } from '../context/keptReads';
import { loadTree } from '../field/loadTree';
import { readWeekRows, weeksOf } from './weekRows';

/** Weeks that schedules are planned from. */
export const PLANNED_FROM = 12;

/** The account's schedules, and what its hours propose. */
export async function loadSchedules(accountId: number): Promise<SchedulesAnswer> {
  const account = await needAccount(accountId);
  const hangsOn = await Promise.all([
    listNamedWeeks(db(), accountId),
    listSchedules(db(), accountId),
    listRunningTrials(db(), accountId),
  ]);
  const stamp = JSON.stringify([account.revision, account.figures, todayOf(account), hangsOn]);
  return keptRead(`schedules ${accountId}`, stamp, () => workOutSchedules(accountId));
}

async function workOutSchedules(accountId: number): Promise<SchedulesAnswer> {
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

/** The same with all that it was planned from. @param on a day that is past: as it stood and was known then */
export async function planSchedules(accountId: number, on?: Day) {
  const account = await needAccount(accountId, on);
  const { options, limits } = accountInfo(account);
  const [window, named, schedules, { campaigns: nodes, adGroups }, trials] = await Promise.all([
    weeksOf(account, PLANNED_FROM),
    listNamedWeeks(db(), accountId),
    listSchedules(db(), accountId),
    loadTree(accountId, { on, targets: 'none' }),
    listRunningTrials(db(), accountId),
  ]);
  const stood = await loadStood(accountId, on);
  const running = stood
    .of('schedule', schedules)
    .flatMap(({ id, state, ...rest }) => (state === 'enabled' ? [{ scheduleId: id, ...rest }] : []));
  const campaigns = plannedCampaigns(nodes, adGroups);
  const figures = await readWeekRows(account, { scope: 'account', scopeId: 0 }, window);
  const offered = options?.schedules ?? null;
  const spent = window
    ? await listDailySpend(db(), accountId, addDays(window.to, 1 - USED_OVER), window.to)
    : [];
  const budgets = new Map(
    nodes.flatMap(({ id, budget, budgetKind }) => (budgetKind === 'daily' && budget ? [[id, budget]] : [])),
  );
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
    used: new Map(
      spent.flatMap(({ id, spend }) => (budgets.has(id) ? [[id, spend / budgets.get(id)!]] : [])),
    ),
    bids: await bidsToLower(accountId, offered, campaigns),
    newName: window ? `Pattern to ${formatDay(window.to)}` : 'Pattern',
  });
  return { offered, limits, named, running, campaigns, window, figures, plan, inTrial };
}

/** Campaigns that have not ended, with the products that they advertise. */
function plannedCampaigns(campaigns: readonly CampaignNode[], adGroups: readonly AdGroupNode[]) {
  const groups = groupBy(adGroups, ({ campaignId }) => campaignId);
  return campaigns.flatMap(({ id, state }) =>
    state === 'archived'
      ? []
      : [
          {
            id,
            runs: state === 'enabled',
            products: [...new Set((groups.get(id) ?? []).flatMap(({ productId }) => productId ?? []))],
          },
        ],
  );
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
