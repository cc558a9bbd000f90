import { EVIDENCE_GRADES } from '../evidence';
import type { BidProposal, BidStep, Left, Month, TestWorth } from './proposal';

export const BID_STEPS: readonly BidStep[] = ['none', 'dead', 'over', 'grow', 'test'];
const LEFTS: readonly Left[] = [
  null, 'not running', 'in range', 'hold', 'second step', 'days since disagree', 'too small', 'would pass target',
  'thin evidence', 'runs dry', 'test cap', 'one price',
]; // prettier-ignore

/** What of a proposal hangs on the figures and the aim alone, by row. */
const AIMED = [
  'from', 'wanted', 'rho', 'clicks', 'orders', 'exposure', 'rpc', 'rpcLow', 'rpcHigh', 'cpc', 'needed', 'chance', 'aim',
  'raise', 'mean', 'low', 'high', 'usual', 'nowClicks', 'nowSpend', 'nowSales', 'dry', 'held', 'daysAgo', 'movedFrom',
  'settledDays', 'sinceClicks', 'sinceOrders', 'beforeClicks', 'beforeOrders', 'beforeSales',
] as const; // prettier-ignore
/** What hangs on the pace, and on what is held back or tested, too. */
export const STEPPED = [
  'to', 'cpcAfter', 'afterClicks', 'afterSpend', 'afterSales', 'freedClicks', 'freedSpend', 'freedSales', 'testGain',
  'testChance', 'testCost',
] as const; // prettier-ignore
export const PROPOSAL_NUMBERS = [...AIMED, ...STEPPED];
export const PROPOSAL_BYTES = ['grade', 'step', 'left', 'isSecondStep'] as const;
type AnyName = (typeof PROPOSAL_NUMBERS)[number] | (typeof PROPOSAL_BYTES)[number];
/** What rows without a target have, where it is not 0. */
export const NO_PROPOSAL: Partial<Record<AnyName, number>> = {
  left: 1,
  daysAgo: NaN,
  beforeClicks: NaN,
  testGain: NaN,
};

/** Columns that stay as they are at another pace. Units as in BidProposal. */
export type AimedColumns = Record<(typeof AIMED)[number], Float64Array> & {
  size: number;
  /** Index in EVIDENCE_GRADES. */
  grade: Uint8Array;
};

/** Columns that another pace makes anew. */
export type SteppedColumns = Record<(typeof STEPPED)[number], Float64Array> & {
  /** Index in BID_STEPS, in LEFTS. */
  step: Uint8Array;
  left: Uint8Array;
  /** 1: goes on with its last move though nothing new is known since. */
  isSecondStep: Uint8Array;
};

/** Proposals as columns by row: a hundred thousand are made, and pass from a worker to the page, without an object each. */
export type ProposalColumns = AimedColumns & SteppedColumns;

/** Columns of names, each of so many zeros. */
const zeros = (names: readonly string[], size: number) =>
  Object.fromEntries(names.map((name) => [name, new Float64Array(size)]));

/** Columns for so many targets, all 0. */
export const emptyAimed = (size: number): AimedColumns =>
  ({ ...zeros(AIMED, size), grade: new Uint8Array(size), size }) as AimedColumns;

/** The same of what another pace makes anew. */
export const emptyStepped = (size: number): SteppedColumns =>
  ({
    ...zeros(STEPPED, size),
    step: new Uint8Array(size),
    left: new Uint8Array(size),
    isSecondStep: new Uint8Array(size),
  }) as SteppedColumns;

/** Index of a step, and of why a target is left alone, in their columns. */
export const stepIndex = (step: BidStep): number => BID_STEPS.indexOf(step);
export const leftIndex = (left: Left): number => LEFTS.indexOf(left);

/** Leaves a target as it is, for a reason that shows only beside all others. */
export function leaveAlone(columns: ProposalColumns, row: number, why: Left): void {
  columns.step[row] = stepIndex('none');
  columns.left[row] = leftIndex(why);
  columns.to[row] = columns.from[row];
  columns.afterClicks[row] = columns.nowClicks[row];
  columns.afterSpend[row] = columns.nowSpend[row];
  columns.afterSales[row] = columns.nowSales[row];
}

/** The proposal of a row. */
export function proposalAt(columns: ProposalColumns, row: number): BidProposal {
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
    after: monthAfter(columns, row),
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

function beforeAt({ beforeClicks, beforeOrders, beforeSales }: ProposalColumns, row: number) {
  if (Number.isNaN(beforeClicks[row])) return null;
  return { clicks: beforeClicks[row], orders: beforeOrders[row], sales: beforeSales[row] };
}

function sinceAt(columns: ProposalColumns, row: number) {
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
export function testAt({ testGain, testChance, testCost }: ProposalColumns, row: number): TestWorth | null {
  if (Number.isNaN(testGain[row])) return null;
  return { gain: testGain[row], chance: testChance[row], cost: testCost[row] };
}

/** Why a row is left alone although another bid is wanted. */
export const leftOf = ({ left }: ProposalColumns, row: number): Left => LEFTS[left[row]];

/** What a month of a row comes to at its present bid. */
export const monthNow = ({ nowClicks, nowSpend, nowSales }: AimedColumns, row: number): Month => ({
  clicks: nowClicks[row],
  spend: nowSpend[row],
  sales: nowSales[row],
});

/** The same with every proposal made. */
export const monthAfter = ({ afterClicks, afterSpend, afterSales }: ProposalColumns, row: number): Month => ({
  clicks: afterClicks[row],
  spend: afterSpend[row],
  sales: afterSales[row],
});
