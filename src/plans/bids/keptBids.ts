import {
  aimBids,
  BID_STEPS,
  decideBids,
  leftOf,
  monthAfter,
  monthNow,
  MonthSum,
  observationsOf,
  planColumns,
  prepareBids,
  spendCurves,
  stakeOf,
  stepBids,
  withAhead,
  withTargets,
} from '../../core/bids';
import type {
  AccountObservations,
  AimedBids,
  AimSettings,
  BidFeed,
  BidPlan,
  MonthTotal,
  PlanColumns,
  PreparedBids,
  SpendCurves,
} from '../../core/bids';
import type { Goal } from '../../core/goals';
import type { LensTable } from '../../core/lenses';
import { indexTree, isInScope } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import { planBudgets } from '../../core/budgets';
import type { BudgetPlan, RanDry } from '../../core/budgets';
import { moneyTotal } from './moneyTotal';
import { USUAL_LIMITS } from '../../core/changes';
import { ranDryOf, withOpenDays } from './openDays';
import { aheadAt } from './ahead';
import type { RoundPlan } from './planAnswer';
import type { AheadIds, RoundSettings } from '../../contract/bids';

/** What running targets come to in a month, now and with every proposal made, at some target ACOS. */
export interface TargetTrial {
  acos: number;
  now: MonthTotal;
  after: MonthTotal;
  down: number;
  up: number;
}

/** An account's bids, prepared once and decided on for each choice of settings. */
export interface KeptBids {
  index: TreeIndex;
  /** What the figures tell, whatever is chosen and decided. */
  prepared: PreparedBids;
  /** Which campaign each index of it stands for. */
  campaignIds: Int32Array;
  targetIds: Int32Array;
  ranDry: RanDry;
  /** Budgets as one plan with the bids; null while it is not said what the money is for. @param locks budgets by campaign that were set by hand */
  budgets: (settings: RoundSettings, locks: ReadonlyMap<number, number>) => BudgetPlan | null;
  /** The plan at some settings; the last ones are kept. */
  decide: (settings: RoundSettings) => BidPlan;
  /** A plan as columns by target. */
  columns: (settings: RoundSettings) => RoundPlan;
  /** The wanted bid of targets, micros; null where none is known. */
  wanted: (settings: RoundSettings, targetIds: number[]) => (number | null)[];
  /** What another target ACOS of the account would do; scopes with a target of their own keep it. */
  tryTarget: (settings: RoundSettings, acos: number) => TargetTrial;
  /** What a target of its own would do to the targets that it counts for: a line's, product's, campaign's or ad group's. */
  tryGoal: (settings: RoundSettings, goal: Goal) => GoalTrial;
}

/** One for each pace, and one more: so many plans of an account lie ready. */
const MOST_PLANS = 5;

const NO_LOCKS: ReadonlyMap<number, number> = new Map();
const NOTHING_AHEAD: AheadIds = { bids: [], modifiers: [], budgets: [], schedules: [] };

/** The same of one scope. */
export interface GoalTrial extends TargetTrial {
  /** Running targets that it counts for: nearer ones keep theirs. */
  targets: number;
}

export function keptBids(index: TreeIndex, feed: BidFeed): KeptBids {
  const account = observationsOf(index, feed);
  const ranDry = ranDryOf(feed, account);
  const prepared = prepareBids(withOpenDays(account.observations, ranDry));
  let aimed: { key: string; base: string; bids: AimedBids } | null = null;
  const known = new Map<string, { base: string; plan: BidPlan }>();
  let curved: { key: string; curves: SpendCurves } | null = null;
  const at = new Map(Array.from(account.targetIds, (id, place) => [id, place]));
  const campaignAt = new Map(Array.from(account.campaignIds, (id, place) => [id, place]));
  const places = { target: at, campaign: campaignAt };
  const from = ({ ahead }: RoundSettings, what = prepared) =>
    ahead ? withAhead(what, aheadAt(ahead, index, places)) : what;
  /** The same for bids: where they hold a campaign's spend, that is what it is held at, and not its budget. */
  const fromHeld = ({ ahead = NOTHING_AHEAD, money }: RoundSettings, what = prepared) => {
    const held = money?.byBids ?? [];
    const budgets = [...ahead.budgets, ...held.map((one): [number, number] => [one.campaignId, one.perDay])];
    return withAhead(what, aheadAt({ ...ahead, budgets }, index, places));
  };
  /** Where all targets are to go: kept while only the pace and what is held back are others. */
  const aimAt = (settings: RoundSettings, { aim, modifiers, mostSpend, mostMultiplier }: AimSettings) => {
    const at = { aim, modifiers, mostSpend, mostMultiplier };
    const key = JSON.stringify([settings.ahead, settings.money?.byBids, at]);
    if (aimed?.key !== key) aimed = { key, base: crypto.randomUUID(), bids: aimBids(fromHeld(settings), at) };
    return aimed;
  };
  /** What money is shared out by: kept for every pace, and whatever is set by hand. */
  const curvesAt = ({ ahead, aim, modifiers }: RoundSettings, start: PreparedBids) => {
    const key = JSON.stringify([ahead, aim, modifiers]);
    if (curved?.key !== key) curved = { key, curves: spendCurves(start, { aim, modifiers }) };
    return curved.curves;
  };
  const planAt = (settings: RoundSettings) => {
    const key = JSON.stringify(settings);
    let at = known.get(key);
    if (!at) {
      const held = withMoney(settings);
      const { base, bids } = aimAt(settings, held);
      at = { base, plan: stepBids(bids, held) };
    }
    // The one that was not asked for the longest goes first.
    known.delete(key);
    known.set(key, at);
    if (known.size > MOST_PLANS) known.delete(known.keys().next().value!);
    return at;
  };
  const decide = (settings: RoundSettings) => planAt(settings).plan;
  const budgets = (settings: RoundSettings, locks: ReadonlyMap<number, number>): BudgetPlan | null => {
    const total = moneyTotal(settings, index, feed);
    if (!total) return null;
    const start = from(settings);
    // What is in the tray already stays as it was decided.
    const decided = new Map(settings.ahead?.budgets);
    const byBids = new Map(settings.money?.byBids.map((one) => [one.campaignId, one.perDay]));
    return planBudgets(
      start,
      settings,
      start.observations.campaigns.map(({ budget }, place) => ({
        budget,
        isRunning: index.campaignRuns(account.campaignIds[place]),
        locked: locks.get(account.campaignIds[place]) ?? decided.get(account.campaignIds[place]) ?? null,
        byBids: byBids.get(account.campaignIds[place]),
      })),
      total,
      ranDry,
      settings.budgetLimits ?? USUAL_LIMITS,
      curvesAt(settings, start),
    );
  };
  /** Bids go no higher than the money pays for, once it is said what it is for. */
  const withMoney = (round: RoundSettings): RoundSettings => {
    const settings = withTestCaps(round, index, account.targetIds, feed);
    const plan = budgets(settings, NO_LOCKS);
    if (!plan) return settings;
    const total = moneyTotal(settings, index, feed);
    return {
      ...settings,
      mostMultiplier: plan.multiplier,
      mostSpend: total?.means === 'money' ? total.goal : null,
    };
  };
  return {
    index,
    prepared,
    ranDry,
    budgets,
    campaignIds: account.campaignIds,
    targetIds: account.targetIds,
    decide,
    columns: (settings) => {
      const { base, plan } = planAt(settings);
      return { ...planColumns(plan, account), base };
    },
    wanted: (settings, targetIds) => {
      const { columns } = decide(settings);
      return targetIds.map((id) => {
        const target = at.get(id);
        if (target === undefined || leftOf(columns, target) === 'not running') return null;
        return columns.wanted[target] > 0 ? columns.wanted[target] : null;
      });
    },
    tryTarget: (settings, acos) => tryTarget(fromHeld(settings), account, settings, acos),
    tryGoal: (settings, goal) => tryGoal(index, feed, settings, goal, (what) => fromHeld(settings, what)),
  };
}

/** The caps of parts of the account as the engine is told them: the targets of each, and what the tests of the last 30 days left of it. */
function withTestCaps(
  settings: RoundSettings,
  index: TreeIndex,
  targetIds: Int32Array,
  { tests = [] }: Pick<BidFeed, 'tests'>,
): RoundSettings {
  if (!settings.testCaps) return settings;
  const within = settings.testCaps.map(({ kind, id, cap }) => {
    const isIn = (targetId: number) => isInScope(kind, id, index.placeOfTarget(targetId));
    const used = tests.reduce((sum, { targetId, cost }) => sum + (isIn(targetId) ? cost : 0), 0);
    const targets: number[] = [];
    targetIds.forEach((targetId, at) => isIn(targetId) && targets.push(at));
    return { targets, room: cap - used };
  });
  return { ...settings, testing: { ...settings.testing, within } };
}

function tryTarget(
  prepared: PreparedBids,
  { accountScope, observations }: AccountObservations,
  settings: RoundSettings,
  acos: number,
): TargetTrial {
  const plan = decideBids(
    withTargets(prepared, (scope) => (scope === accountScope ? acos : null)),
    settings,
  );
  const { targets: _all, ...trial } = monthsOf(plan, observations, () => true);
  return { acos, ...trial };
}

/** The bids anew with one more goal: what it counts for is known only then. */
function tryGoal(
  index: TreeIndex,
  feed: BidFeed,
  settings: RoundSettings,
  goal: Goal,
  from: (what: PreparedBids) => PreparedBids,
): GoalTrial {
  const isSame = ({ scope, scopeId }: Pick<Goal, 'scope' | 'scopeId'>) =>
    scope === goal.scope && scopeId === goal.scopeId;
  const goals = [...index.tree.goals.filter((one) => !isSame(one)), goal];
  const tried = indexTree({ ...index.tree, goals });
  const { observations, targetIds } = observationsOf(tried, feed);
  const plan = decideBids(from(prepareBids(observations)), settings);
  const isIts = (target: number) => isSame(tried.aimOf(tried.placeOfTarget(targetIds[target])).goal);
  return { acos: (goal.low + goal.high) / 2, ...monthsOf(plan, observations, isIts) };
}

/** Running targets of a plan together, now and with every proposal made. */
function monthsOf(
  { columns }: BidPlan,
  { targets, products }: AccountObservations['observations'],
  isIts: (target: number) => boolean,
): Omit<GoalTrial, 'acos'> {
  const [now, after] = [new MonthSum(), new MonthSum()];
  let [down, up, count] = [0, 0, 0];
  for (const [target, { product, isRunning }] of targets.entries()) {
    if (!isRunning || !isIts(target)) continue;
    count += 1;
    const margin = products[product].margin ?? NaN;
    now.add(monthNow(columns, target), margin);
    after.add(monthAfter(columns, target), margin);
    if (columns.to[target] < columns.from[target]) down += 1;
    if (columns.to[target] > columns.from[target]) up += 1;
  }
  return { now: now.total, after: after.total, down, up, targets: count };
}

/** Money at stake in a row of a plan, micros a month. */
export function rowStake(plan: PlanColumns, table: LensTable, row: number): number {
  return stakeOf(
    BID_STEPS[plan.step[row]],
    monthNow(plan, row),
    monthAfter(plan, row),
    table.targetAcos[row],
  );
}
