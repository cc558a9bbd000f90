import { EVIDENCE_GRADES } from '../evidence';
import type { AccountObservations } from './observationsOf';
import type { BidPlan } from './proposeBids';
import type { BidProposal, BidStep, Left, Month, TestWorth } from './proposal';
import type { ReasonContext } from './reason';

export const BID_STEPS: readonly BidStep[] = ['none', 'dead', 'over', 'grow', 'test'];
const LEFTS: readonly Left[] = [
  null, 'not running', 'in range', 'hold', 'second step', 'days since disagree', 'too small', 'would pass target',
  'thin evidence', 'runs dry', 'test cap', 'one price',
]; // prettier-ignore

/** Numbers of a proposal that are kept by row. */
const NUMBERS = [
  'from', 'to', 'wanted', 'rho', 'clicks', 'orders', 'exposure', 'rpc', 'rpcLow', 'rpcHigh', 'cpc', 'needed', 'chance',
  'mean', 'low', 'high', 'usual', 'nowClicks', 'nowSpend', 'nowSales', 'afterClicks', 'afterSpend', 'afterSales',
  'dry', 'held', 'aim', 'raise', 'cpcAfter', 'daysAgo', 'movedFrom', 'settledDays', 'sinceClicks', 'sinceOrders',
  'beforeClicks', 'beforeOrders', 'beforeSales', 'freedClicks', 'freedSpend', 'freedSales', 'testGain', 'testChance', 'testCost',
] as const; // prettier-ignore
type NumberName = (typeof NUMBERS)[number];

/**
 * A plan as columns by the rows of a table: a hundred thousand proposals pass from a worker to the page without an object
 * each. Units as in BidProposal; `dry` NaN where the campaign has no daily budget.
 */
export type PlanColumns = Record<NumberName, Float64Array> & {
  size: number;
  /** Index in BID_STEPS, in LEFTS, in EVIDENCE_GRADES. */
  step: Uint8Array;
  left: Uint8Array;
  grade: Uint8Array;
  /** 1: goes on with its last move though nothing new is known since. */
  isSecondStep: Uint8Array;
  strength: number;
  kappa: number;
  /** Days back to the first one with figures, 150 at most. */
  days: number;
  /** What tests may cost more a month, and what those of the last 30 days took of it, micros. */
  testing: BidPlan['testing'];
  /** What clicks cost, as far as the figures tell. */
  price: BidPlan['price'];
  /** Whether it is the money, and not the target, that bids go no higher for. */
  isHeldByMoney: boolean;
};

/** Lays a plan out by rows; `targetOf` names the target of a row. Rows whose target the plan does not know have no bid. */
export function planColumns(
  plan: BidPlan,
  { observations, targetIds }: AccountObservations,
  size: number,
  targetOf: (row: number) => number,
): PlanColumns {
  const columns = {
    size,
    step: new Uint8Array(size),
    left: new Uint8Array(size).fill(1),
    grade: new Uint8Array(size),
    isSecondStep: new Uint8Array(size),
    strength: plan.strength,
    kappa: plan.kappa,
    days: plan.days,
    testing: plan.testing,
    price: plan.price,
    isHeldByMoney: plan.isHeldByMoney,
  } as PlanColumns;
  for (const name of NUMBERS) columns[name] = new Float64Array(size);
  for (const name of ['daysAgo', 'beforeClicks', 'testGain'] as const) columns[name].fill(NaN);
  const at = new Map(Array.from(targetIds, (id, place) => [id, place]));
  for (let row = 0; row < size; row += 1) {
    const target = at.get(targetOf(row));
    if (target === undefined) continue;
    const proposal = plan.proposals[target];
    const { campaign } = observations.targets[target];
    const { conversion, now, after, freed, since, before, test } = proposal;
    const numbers: Record<NumberName, number> = {
      ...proposal,
      ...conversion,
      nowClicks: now.clicks,
      nowSpend: now.spend,
      nowSales: now.sales,
      afterClicks: after.clicks,
      afterSpend: after.spend,
      afterSales: after.sales,
      freedClicks: freed.clicks,
      freedSpend: freed.spend,
      freedSales: freed.sales,
      dry: plan.dry[campaign] ?? NaN,
      held: plan.held[campaign],
      daysAgo: since?.daysAgo ?? NaN,
      movedFrom: since?.from ?? NaN,
      settledDays: since?.settledDays ?? 0,
      sinceClicks: since?.clicks ?? 0,
      sinceOrders: since?.orders ?? 0,
      beforeClicks: before?.clicks ?? NaN,
      beforeOrders: before?.orders ?? 0,
      beforeSales: before?.sales ?? 0,
      testGain: test?.gain ?? NaN,
      testChance: test?.chance ?? 0,
      testCost: test?.cost ?? 0,
    };
    for (const name of NUMBERS) columns[name][row] = numbers[name];
    columns.step[row] = BID_STEPS.indexOf(proposal.step);
    columns.left[row] = LEFTS.indexOf(proposal.left);
    columns.isSecondStep[row] = proposal.isSecondStep ? 1 : 0;
    columns.grade[row] = EVIDENCE_GRADES.indexOf(conversion.grade);
  }
  return columns;
}

/** The proposal of a row. */
export function proposalAt(columns: PlanColumns, row: number): BidProposal {
  const { from, to, wanted, clicks, orders, exposure, rpc, rpcLow, rpcHigh, cpc, needed, chance } = columns;
  const { mean, low, high, usual, grade } = columns;
  return {
    target: row,
    step: BID_STEPS[columns.step[row]],
    left: leftOf(columns, row),
    from: from[row],
    to: to[row],
    wanted: wanted[row],
    aim: columns.aim[row],
    raise: columns.raise[row],
    rho: columns.rho[row],
    clicks: clicks[row],
    orders: orders[row],
    conversion: {
      mean: mean[row],
      low: low[row],
      high: high[row],
      usual: usual[row],
      grade: EVIDENCE_GRADES[grade[row]],
    },
    exposure: exposure[row],
    before: beforeAt(columns, row),
    rpc: rpc[row],
    rpcLow: rpcLow[row],
    rpcHigh: rpcHigh[row],
    cpc: cpc[row],
    cpcAfter: columns.cpcAfter[row],
    needed: needed[row],
    chance: chance[row],
    now: monthNow(columns, row),
    after: {
      clicks: columns.afterClicks[row],
      spend: columns.afterSpend[row],
      sales: columns.afterSales[row],
    },
    freed: {
      clicks: columns.freedClicks[row],
      spend: columns.freedSpend[row],
      sales: columns.freedSales[row],
    },
    since: sinceAt(columns, row),
    isSecondStep: columns.isSecondStep[row] === 1,
    test: testAt(columns, row),
  };
}

function beforeAt({ beforeClicks, beforeOrders, beforeSales }: PlanColumns, row: number) {
  if (Number.isNaN(beforeClicks[row])) return null;
  return { clicks: beforeClicks[row], orders: beforeOrders[row], sales: beforeSales[row] };
}

function sinceAt(columns: PlanColumns, row: number) {
  const { daysAgo, movedFrom, settledDays, sinceClicks, sinceOrders } = columns;
  if (Number.isNaN(daysAgo[row])) return null;
  return {
    daysAgo: daysAgo[row],
    from: Number.isNaN(movedFrom[row]) ? null : movedFrom[row],
    settledDays: settledDays[row],
    clicks: sinceClicks[row],
    orders: sinceOrders[row],
  };
}

/** What a test of a row is to find out; null where it is none. */
export function testAt({ testGain, testChance, testCost }: PlanColumns, row: number): TestWorth | null {
  if (Number.isNaN(testGain[row])) return null;
  return { gain: testGain[row], chance: testChance[row], cost: testCost[row] };
}

/** Why a row is left alone although another bid is wanted. */
export const leftOf = ({ left }: PlanColumns, row: number): Left => LEFTS[left[row]];

/** What a month of a row comes to at its present bid. */
export const monthNow = ({ nowClicks, nowSpend, nowSales }: PlanColumns, row: number): Month => ({
  clicks: nowClicks[row],
  spend: nowSpend[row],
  sales: nowSales[row],
});

/** What the reason of a row tells beside its proposal. @param margin share, NaN where not known */
export function reasonContext(
  { strength, days, dry, held, price, isHeldByMoney }: PlanColumns,
  row: number,
  margin: number,
): ReasonContext {
  return {
    days,
    margin: Number.isNaN(margin) ? null : margin,
    strength,
    dry: Number.isNaN(dry[row]) ? null : dry[row],
    held: held[row],
    gamma: price.gamma,
    isHeldByMoney,
  };
}
