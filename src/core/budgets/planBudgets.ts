import { spendCurves } from '../bids';
import type { BidSettings, PreparedBids, SpendCurves } from '../bids';
import type { MarketLimits } from '../changes';
import { DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';
import { missedSales } from './missedSales';
import { needOf, paidOf } from './need';
import { DRY_DAYS } from './ranDry';
import type { RanDry } from './ranDry';
import type { BudgetLeft, BudgetPlan, BudgetProposal, BudgetTotal } from './proposal';
import { shareOut } from './shareOut';

/** What a campaign's budgets can be moved by. */
export interface BudgetCampaign {
  /** Its daily budget, micros; null: none, or one for its lifetime. */
  budget: Micros | null;
  isRunning: boolean;
  /** Set by hand: the others give way. Micros; null: it may move. */
  locked: Micros | null;
  /** What it may spend a day by its bids, under a budget that stands high above it; left out: its budget holds it. Micros. */
  byBids?: Micros;
}

/** Days of usual spend that a budget has room for, in standard deviations: of what it is raised to, and of what decides how high bids may go. */
const ROOM = { 'sum stays': 1.5, money: 2 } as const;
const LEAST_ROOM = { grow: 0.25, strict: 0.25, 'keep profit': 0.75 } as const;
/** How far a budget moves in a round at most: its bids do not get further either. */
const STEP = { down: 0.5, up: 1 };
/** Budgets are set in cents; in the bids' steps where those are larger, as in a currency without cents. */
export const BUDGET_STEP = 10_000;
export const budgetStepOf = ({ bidStep }: Pick<MarketLimits, 'bidStep'>): Micros =>
  Math.max(BUDGET_STEP, bidStep);
/** A campaign whose bids hold its spend gets a budget so many times as high: no day comes near it. */
const HIGH = 2;

/**
 * Budgets of all campaigns as one solution with their bids: one multiplier rho for all, the lower of the one at which targets are met and
 * the largest at which the needs fit the total; budgets by need at that rho. Curves are of what clicks would cost with money enough, never
 * of what was spent: that is cut off by the budgets themselves.
 * @param curves where they are known already
 */
export function planBudgets(
  prepared: PreparedBids,
  settings: BidSettings,
  campaigns: readonly BudgetCampaign[],
  total: BudgetTotal,
  ranDry: RanDry,
  limits: Pick<MarketLimits, 'minBudget' | 'maxBudget' | 'bidStep'>,
  curves = spendCurves(prepared, settings),
): BudgetPlan {
  const { minBudget, maxBudget } = limits;
  const step = budgetStepOf(limits);
  const running = campaigns.flatMap(({ budget, isRunning }, at) =>
    budget !== null && isRunning ? [at] : [],
  );
  const movable = running.filter((at) => campaigns[at].byBids === undefined);
  const apart = running.filter((at) => campaigns[at].byBids !== undefined);
  /** What goes to campaigns whose bids hold their spend is not the others’ to share. */
  const theirs = apart.reduce((all, at) => all + campaigns[at].byBids!, 0);
  const sum = movable.reduce((all, at) => all + campaigns[at].budget!, 0);
  const limit = Math.max(0, (total.means === 'money' ? total.daily * total.over : total.sum) - theirs);
  const cpcOf = (at: number) =>
    curves.now.clicks[at] > 0 ? curves.now.spend[at] / curves.now.clicks[at] : 0;
  const point = pointFor(
    curves,
    movable,
    (at, spend) =>
      total.means === 'money' ? spend : needOf(spend, cpcOf(at), LEAST_ROOM[settings.aim], minBudget),
    Math.max(0, (total.means === 'money' ? total.goal : total.sum) - theirs),
  );
  const points = curves.shares.length;
  const spendAt = (at: number) => curves.spend[at * points + point];
  const needs = movable.map((at) => needOf(spendAt(at), cpcOf(at), ROOM[total.means], minBudget));
  const budgets = shareOut(
    movable.map((at, n) => ({
      budget: campaigns[at].locked ?? campaigns[at].budget!,
      need: needs[n],
      least: Math.max(minBudget, campaigns[at].budget! * (1 - STEP.down)),
      most: Math.min(maxBudget, campaigns[at].budget! * (1 + STEP.up)),
      isLocked: campaigns[at].locked !== null || curves.now.clicks[at] <= 0,
    })),
    limit,
    step,
  );
  const to = new Map(movable.map((at, n) => [at, budgets[n]]));
  for (const at of apart) {
    const high = Math.ceil((HIGH * campaigns[at].byBids!) / step) * step;
    to.set(at, campaigns[at].locked ?? Math.min(maxBudget, Math.max(minBudget, high)));
  }
  const need = new Map(movable.map((at, n) => [at, needs[n]]));
  return {
    proposals: campaigns.map((one, at) =>
      proposalOf(at, one, to.get(at) ?? null, need.get(at) ?? 0, {
        prepared,
        curves,
        ranDry,
        spendAt,
        cpcOf,
      }),
    ),
    total: { before: sum, after: movable.reduce((all, at) => all + to.get(at)!, 0), limit },
    share: curves.shares[point],
    multiplier: Array.from(curves.multiplier, (one) => one * curves.shares[point]),
  };
}

/** The largest share of the multiplier at which what is counted of all campaigns fits, as a place in the curves. */
function pointFor(
  { shares, spend }: SpendCurves,
  movable: readonly number[],
  counts: (campaign: number, spend: Micros) => Micros,
  most: Micros,
): number {
  for (let point = shares.length - 1; point > 0; point -= 1) {
    const sum = movable.reduce((all, at) => all + counts(at, spend[at * shares.length + point]), 0);
    if (sum <= most) return point;
  }
  return 0;
}

interface Known {
  prepared: PreparedBids;
  curves: SpendCurves;
  ranDry: RanDry;
  spendAt: (campaign: number) => Micros;
  cpcOf: (campaign: number) => Micros;
}

function proposalOf(
  at: number,
  { budget, isRunning, locked, byBids }: BudgetCampaign,
  to: Micros | null,
  need: Micros,
  { prepared, curves, ranDry, spendAt, cpcOf }: Known,
): BudgetProposal {
  const { now } = curves;
  const cpc = cpcOf(at);
  const [spend, sales, clicks] = [now.spend[at], now.sales[at], now.clicks[at]];
  const dry = ranDry.campaigns[at];
  const rpc = clicks > 0 ? sales / clicks : 0;
  const missed = missedSales(dry.dry, rpc, ordersOf(prepared, at), prepared.priors.strength, dry.known ?? 0);
  // The plan counts on what came by the clock; what a budget would let through is told by all that there was to be had.
  const full = Math.max(spend, dry.usual * cpc);
  const month = (amount: Micros | null) => {
    const paid = amount === null ? spend : Math.min(byBids ?? Infinity, paidOf(amount, full, cpc));
    const part = spend > 0 ? (paid / spend) * DAYS_PER_MONTH : 0;
    return { clicks: clicks * part, spend: spend * part, sales: sales * part };
  };
  return {
    campaign: at,
    left: leftOf(budget, isRunning, clicks, to),
    from: budget,
    to,
    need,
    isLocked: locked !== null,
    byBids: byBids ?? null,
    /** What it is expected to spend a day at the bids that the plan goes with. */
    demand: spendAt(at),
    spend: full,
    cpc,
    rpc,
    days: dry.days,
    dry: dry.dry,
    missed,
    isLeast: dry.isLeast,
    perMonth: dry.days > 0 ? DAYS_PER_MONTH / Math.min(DRY_DAYS, dry.days) : 0,
    now: month(budget),
    after: month(to ?? budget),
  };
}

function leftOf(budget: Micros | null, isRunning: boolean, clicks: number, to: Micros | null): BudgetLeft {
  if (!isRunning) return 'not running';
  if (budget === null) return 'no daily budget';
  if (clicks <= 0) return 'no clicks';
  return to === budget ? 'as needed' : null;
}

const orders = new WeakMap<PreparedBids, Float64Array>();

/** Orders that a campaign's own value of a click is known from. */
function ordersOf(prepared: PreparedBids, campaign: number): number {
  let sums = orders.get(prepared);
  if (!sums) {
    sums = new Float64Array(prepared.observations.campaigns.length);
    prepared.observations.targets.forEach((target, at) => {
      sums![target.campaign] += prepared.exposures.orders[at];
    });
    orders.set(prepared, sums);
  }
  return sums[campaign];
}
