import { EVIDENCE_GRADES } from '../evidence';
import type { AccountObservations } from './observationsOf';
import type { BidPlan, BidProposal, BidStep, Left, Month } from './proposeBids';
import type { ReasonContext } from './reason';

export const BID_STEPS: readonly BidStep[] = ['none', 'dead', 'over', 'grow'];
const LEFTS: readonly Left[] = [null, 'not running', 'cool-down', 'too small', 'thin evidence', 'runs dry'];

/** Numbers of a proposal that are kept by row. */
const NUMBERS = [
  'from', 'to', 'wanted', 'rho', 'clicks', 'orders', 'exposure', 'rpc', 'rpcLow', 'rpcHigh', 'cpc', 'needed', 'chance',
  'mean', 'low', 'high', 'usual', 'nowClicks', 'nowSpend', 'nowSales', 'afterClicks', 'afterSpend', 'afterSales',
  'dry', 'held',
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
  strength: number;
  kappa: number;
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
    strength: plan.strength,
    kappa: plan.kappa,
  } as PlanColumns;
  for (const name of NUMBERS) columns[name] = new Float64Array(size);
  const at = new Map(Array.from(targetIds, (id, place) => [id, place]));
  for (let row = 0; row < size; row += 1) {
    const target = at.get(targetOf(row));
    if (target === undefined) continue;
    const proposal = plan.proposals[target];
    const { campaign } = observations.targets[target];
    const { conversion, now, after } = proposal;
    const numbers: Record<NumberName, number> = {
      ...proposal,
      ...conversion,
      nowClicks: now.clicks,
      nowSpend: now.spend,
      nowSales: now.sales,
      afterClicks: after.clicks,
      afterSpend: after.spend,
      afterSales: after.sales,
      dry: plan.dry[campaign] ?? NaN,
      held: plan.held[campaign],
    };
    for (const name of NUMBERS) columns[name][row] = numbers[name];
    columns.step[row] = BID_STEPS.indexOf(proposal.step);
    columns.left[row] = LEFTS.indexOf(proposal.left);
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
    left: LEFTS[columns.left[row]],
    from: from[row],
    to: to[row],
    wanted: wanted[row],
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
    rpc: rpc[row],
    rpcLow: rpcLow[row],
    rpcHigh: rpcHigh[row],
    cpc: cpc[row],
    needed: needed[row],
    chance: chance[row],
    now: monthNow(columns, row),
    after: {
      clicks: columns.afterClicks[row],
      spend: columns.afterSpend[row],
      sales: columns.afterSales[row],
    },
  };
}

/** What a month of a row comes to at its present bid. */
export const monthNow = ({ nowClicks, nowSpend, nowSales }: PlanColumns, row: number): Month => ({
  clicks: nowClicks[row],
  spend: nowSpend[row],
  sales: nowSales[row],
});

/** What the reason of a row tells beside its proposal. @param targetAcos share @param margin share, NaN where not known */
export function reasonContext(
  { strength, dry, held }: PlanColumns,
  row: number,
  targetAcos: number,
  margin: number,
): ReasonContext {
  return {
    targetAcos,
    margin: Number.isNaN(margin) ? null : margin,
    strength,
    dry: Number.isNaN(dry[row]) ? null : dry[row],
    held: held[row],
  };
}
