import { EVIDENCE_GRADES } from '../evidence';
import type { BidProposal, BidStep, Left, Month, TestWorth } from './proposal';

export const BID_STEPS: readonly BidStep[] = ['none', 'dead', 'over', 'grow', 'test'];
const LEFTS: readonly Left[] = [
  null, 'not running', 'in range', 'hold', 'second step', 'days since disagree', 'too small', 'would pass target',
  'thin evidence', 'runs dry', 'test cap', 'one price',
]; // prettier-ignore

/** Numbers of a proposal that are kept by row. */
export const PROPOSAL_NUMBERS = [
  'from', 'to', 'wanted', 'rho', 'clicks', 'orders', 'exposure', 'rpc', 'rpcLow', 'rpcHigh', 'cpc', 'needed', 'chance',
  'aim', 'raise', 'cpcAfter', 'mean', 'low', 'high', 'usual', 'nowClicks', 'nowSpend', 'nowSales', 'afterClicks',
  'afterSpend', 'afterSales', 'freedClicks', 'freedSpend', 'freedSales', 'dry', 'held', 'daysAgo', 'movedFrom',
  'settledDays', 'sinceClicks', 'sinceOrders', 'beforeClicks', 'beforeOrders', 'beforeSales', 'testGain', 'testChance',
  'testCost',
] as const; // prettier-ignore
type NumberName = (typeof PROPOSAL_NUMBERS)[number];
export const PROPOSAL_BYTES = ['step', 'left', 'grade', 'isSecondStep'] as const;
/** What rows without a target have, where it is not 0. */
export const NO_PROPOSAL: Partial<Record<NumberName | (typeof PROPOSAL_BYTES)[number], number>> = {
  left: 1,
  daysAgo: NaN,
  beforeClicks: NaN,
  testGain: NaN,
};

/** Proposals as columns by row: a hundred thousand are made, and pass from a worker to the page, without an object each. Units as in BidProposal. */
export type ProposalColumns = Record<NumberName, Float64Array> & {
  size: number;
  /** Index in BID_STEPS, in LEFTS, in EVIDENCE_GRADES. */
  step: Uint8Array;
  left: Uint8Array;
  grade: Uint8Array;
  /** 1: goes on with its last move though nothing new is known since. */
  isSecondStep: Uint8Array;
};

/** Columns for so many proposals, all 0. */
export function emptyProposals(size: number): ProposalColumns {
  const numbers = PROPOSAL_NUMBERS.map((name) => [name, new Float64Array(size)]);
  const bytes = PROPOSAL_BYTES.map((name) => [name, new Uint8Array(size)]);
  return { ...Object.fromEntries([...numbers, ...bytes]), size } as ProposalColumns;
}

/** Writes a proposal into its row. @param campaign how often its budget ran out (NaN without one), and how far its bids are held */
export function putProposal(
  columns: ProposalColumns,
  proposal: BidProposal,
  campaign: { dry: number; held: number },
): void {
  const row = proposal.target;
  const { conversion, now, after, freed, since, before, test } = proposal;
  columns.step[row] = BID_STEPS.indexOf(proposal.step);
  columns.left[row] = LEFTS.indexOf(proposal.left);
  columns.grade[row] = EVIDENCE_GRADES.indexOf(conversion.grade);
  columns.isSecondStep[row] = proposal.isSecondStep ? 1 : 0;
  columns.from[row] = proposal.from;
  columns.to[row] = proposal.to;
  columns.wanted[row] = proposal.wanted;
  columns.rho[row] = proposal.rho;
  columns.clicks[row] = proposal.clicks;
  columns.orders[row] = proposal.orders;
  columns.exposure[row] = proposal.exposure;
  columns.rpc[row] = proposal.rpc;
  columns.rpcLow[row] = proposal.rpcLow;
  columns.rpcHigh[row] = proposal.rpcHigh;
  columns.cpc[row] = proposal.cpc;
  columns.needed[row] = proposal.needed;
  columns.chance[row] = proposal.chance;
  columns.aim[row] = proposal.aim;
  columns.raise[row] = proposal.raise;
  columns.cpcAfter[row] = proposal.cpcAfter;
  columns.mean[row] = conversion.mean;
  columns.low[row] = conversion.low;
  columns.high[row] = conversion.high;
  columns.usual[row] = conversion.usual;
  columns.dry[row] = campaign.dry;
  columns.held[row] = campaign.held;
  columns.nowClicks[row] = now.clicks;
  columns.nowSpend[row] = now.spend;
  columns.nowSales[row] = now.sales;
  putAfter(columns, row, after);
  columns.freedClicks[row] = freed.clicks;
  columns.freedSpend[row] = freed.spend;
  columns.freedSales[row] = freed.sales;
  columns.daysAgo[row] = since?.daysAgo ?? NaN;
  columns.movedFrom[row] = since?.from ?? NaN;
  columns.settledDays[row] = since?.settledDays ?? 0;
  columns.sinceClicks[row] = since?.clicks ?? 0;
  columns.sinceOrders[row] = since?.orders ?? 0;
  columns.beforeClicks[row] = before?.clicks ?? NaN;
  columns.beforeOrders[row] = before?.orders ?? 0;
  columns.beforeSales[row] = before?.sales ?? 0;
  columns.testGain[row] = test?.gain ?? NaN;
  columns.testChance[row] = test?.chance ?? 0;
  columns.testCost[row] = test?.cost ?? 0;
}

/** Leaves a target as it is, for a reason that shows only beside all others. */
export function leaveAlone(columns: ProposalColumns, row: number, why: Left): void {
  columns.step[row] = BID_STEPS.indexOf('none');
  columns.left[row] = LEFTS.indexOf(why);
  columns.to[row] = columns.from[row];
  putAfter(columns, row, monthNow(columns, row));
}

function putAfter(columns: ProposalColumns, row: number, { clicks, spend, sales }: Month): void {
  columns.afterClicks[row] = clicks;
  columns.afterSpend[row] = spend;
  columns.afterSales[row] = sales;
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
export const monthNow = ({ nowClicks, nowSpend, nowSales }: ProposalColumns, row: number): Month => ({
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
