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

/** A proposal as it is laid out, with what its campaign adds. */
interface Told {
  proposal: BidProposal;
  /** NaN where the campaign has no daily budget. */
  dry: number;
  held: number;
}

/** Numbers of a proposal that are kept by row, and where each is read: a column at a time, which is far quicker than a row at a time. */
const READ = {
  from: ({ proposal }: Told) => proposal.from,
  to: ({ proposal }: Told) => proposal.to,
  wanted: ({ proposal }: Told) => proposal.wanted,
  rho: ({ proposal }: Told) => proposal.rho,
  clicks: ({ proposal }: Told) => proposal.clicks,
  orders: ({ proposal }: Told) => proposal.orders,
  exposure: ({ proposal }: Told) => proposal.exposure,
  rpc: ({ proposal }: Told) => proposal.rpc,
  rpcLow: ({ proposal }: Told) => proposal.rpcLow,
  rpcHigh: ({ proposal }: Told) => proposal.rpcHigh,
  cpc: ({ proposal }: Told) => proposal.cpc,
  needed: ({ proposal }: Told) => proposal.needed,
  chance: ({ proposal }: Told) => proposal.chance,
  aim: ({ proposal }: Told) => proposal.aim,
  raise: ({ proposal }: Told) => proposal.raise,
  cpcAfter: ({ proposal }: Told) => proposal.cpcAfter,
  mean: ({ proposal }: Told) => proposal.conversion.mean,
  low: ({ proposal }: Told) => proposal.conversion.low,
  high: ({ proposal }: Told) => proposal.conversion.high,
  usual: ({ proposal }: Told) => proposal.conversion.usual,
  nowClicks: ({ proposal }: Told) => proposal.now.clicks,
  nowSpend: ({ proposal }: Told) => proposal.now.spend,
  nowSales: ({ proposal }: Told) => proposal.now.sales,
  afterClicks: ({ proposal }: Told) => proposal.after.clicks,
  afterSpend: ({ proposal }: Told) => proposal.after.spend,
  afterSales: ({ proposal }: Told) => proposal.after.sales,
  freedClicks: ({ proposal }: Told) => proposal.freed.clicks,
  freedSpend: ({ proposal }: Told) => proposal.freed.spend,
  freedSales: ({ proposal }: Told) => proposal.freed.sales,
  dry: ({ dry }: Told) => dry,
  held: ({ held }: Told) => held,
  daysAgo: ({ proposal }: Told) => proposal.since?.daysAgo ?? NaN,
  movedFrom: ({ proposal }: Told) => proposal.since?.from ?? NaN,
  settledDays: ({ proposal }: Told) => proposal.since?.settledDays ?? 0,
  sinceClicks: ({ proposal }: Told) => proposal.since?.clicks ?? 0,
  sinceOrders: ({ proposal }: Told) => proposal.since?.orders ?? 0,
  beforeClicks: ({ proposal }: Told) => proposal.before?.clicks ?? NaN,
  beforeOrders: ({ proposal }: Told) => proposal.before?.orders ?? 0,
  beforeSales: ({ proposal }: Told) => proposal.before?.sales ?? 0,
  testGain: ({ proposal }: Told) => proposal.test?.gain ?? NaN,
  testChance: ({ proposal }: Told) => proposal.test?.chance ?? 0,
  testCost: ({ proposal }: Told) => proposal.test?.cost ?? 0,
};
type NumberName = keyof typeof READ;
const NUMBERS = Object.keys(READ) as NumberName[];
const BYTES = ['step', 'left', 'grade', 'isSecondStep'] as const;
/** What rows without a target have, where it is not 0. */
const NONE: Partial<Record<NumberName | (typeof BYTES)[number], number>> = {
  left: 1,
  daysAgo: NaN,
  beforeClicks: NaN,
  testGain: NaN,
};

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

/** A plan as columns by the targets of an account. */
export type TargetPlan = PlanColumns & { targetIds: Int32Array };

/** Lays a plan out by the account's targets. */
export function planColumns(plan: BidPlan, { observations, targetIds }: AccountObservations): TargetPlan {
  const told = plan.proposals.map((proposal, target): Told => {
    const { campaign } = observations.targets[target];
    return { proposal, dry: plan.dry[campaign] ?? NaN, held: plan.held[campaign] };
  });
  const bytes = (read: (one: BidProposal) => number) => Uint8Array.from(plan.proposals, read);
  const { strength, kappa, days, testing, price, isHeldByMoney } = plan;
  const columns = {
    targetIds,
    size: targetIds.length,
    step: bytes(({ step }) => BID_STEPS.indexOf(step)),
    left: bytes(({ left }) => LEFTS.indexOf(left)),
    grade: bytes(({ conversion }) => EVIDENCE_GRADES.indexOf(conversion.grade)),
    isSecondStep: bytes(({ isSecondStep }) => (isSecondStep ? 1 : 0)),
    ...{ strength, kappa, days, testing, price, isHeldByMoney },
  } as TargetPlan;
  for (const name of NUMBERS) {
    const [column, read] = [new Float64Array(told.length), READ[name]];
    for (let target = 0; target < told.length; target += 1) column[target] = read(told[target]);
    columns[name] = column;
  }
  return columns;
}

/**
 * The same by the rows of a table; `targetOf` names the target of a row. Rows whose target the plan does not know have no bid. Where the
 * rows are the plan's targets in their order, its own columns are handed out.
 */
export function planByRows(plan: TargetPlan, size: number, targetOf: (row: number) => number): PlanColumns {
  const { targetIds, ...own } = plan;
  if (size === targetIds.length && targetIds.every((id, row) => id === targetOf(row))) return own;
  const placeOf = new Map(Array.from(targetIds, (id, place) => [id, place]));
  const places = Int32Array.from({ length: size }, (_, row) => placeOf.get(targetOf(row)) ?? -1);
  const columns: PlanColumns = { ...own, size };
  for (const name of [...NUMBERS, ...BYTES]) {
    const [from, none] = [own[name], NONE[name] ?? 0];
    const column = from instanceof Uint8Array ? new Uint8Array(size) : new Float64Array(size);
    for (let row = 0; row < size; row += 1) column[row] = places[row] < 0 ? none : from[places[row]];
    columns[name] = column as Float64Array & Uint8Array;
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
