import type { AccountObservations } from './observationsOf';
import { NO_PROPOSAL, PROPOSAL_BYTES, PROPOSAL_NUMBERS } from './proposalColumns';
import type { ProposalColumns } from './proposalColumns';
import type { BidPlan } from './proposeBids';
import type { ReasonContext } from './reason';

/** What all proposals of a plan were made with. */
export interface PlanFacts {
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
}

/** A plan as columns by the rows of a table; `dry` NaN where the campaign has no daily budget. */
export type PlanColumns = ProposalColumns & PlanFacts;

/** A plan as columns by the targets of an account. */
export type TargetPlan = PlanColumns & { targetIds: Int32Array };

/** Lays a plan out by the account's targets. */
export function planColumns(
  { columns, strength, kappa, days, testing, price, isHeldByMoney }: BidPlan,
  { targetIds }: AccountObservations,
): TargetPlan {
  return { ...columns, strength, kappa, days, testing, price, isHeldByMoney, targetIds };
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
  for (const name of [...PROPOSAL_NUMBERS, ...PROPOSAL_BYTES]) {
    const [from, none] = [own[name], NO_PROPOSAL[name] ?? 0];
    const column = from instanceof Uint8Array ? new Uint8Array(size) : new Float64Array(size);
    for (let row = 0; row < size; row += 1) column[row] = places[row] < 0 ? none : from[places[row]];
    columns[name] = column as Float64Array & Uint8Array;
  }
  return columns;
}

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
