import {
  BID_STEPS,
  decideBids,
  MonthSum,
  observationsOf,
  planColumns,
  prepareBids,
  stakeOf,
  withTargets,
} from '../../core/bids';
import type {
  AccountObservations,
  BidFeed,
  BidPlan,
  BidSettings,
  MonthTotal,
  PlanColumns,
  PreparedBids,
} from '../../core/bids';
import type { LensTable } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';

/** What all running targets come to in a month, now and with every proposal made, at some target ACOS. */
export interface TargetTrial {
  acos: number;
  now: MonthTotal;
  after: MonthTotal;
  down: number;
  up: number;
}

/** An account's bids, prepared once and decided on for each choice of settings. */
export interface KeptBids {
  /** The plan at some settings; the last one is kept. */
  decide: (settings: BidSettings) => BidPlan;
  /** A plan by the rows of a table of targets. */
  columns: (settings: BidSettings, table: LensTable) => PlanColumns;
  /** The wanted bid of targets, micros; null where none is known. */
  wanted: (settings: BidSettings, targetIds: number[]) => (number | null)[];
  /** What another target ACOS of the account would do; scopes with a target of their own keep it. */
  tryTarget: (settings: BidSettings, acos: number) => TargetTrial;
}

export function keptBids(index: TreeIndex, feed: BidFeed): KeptBids {
  const account = observationsOf(index, feed);
  const prepared = prepareBids(account.observations);
  let known: { key: string; plan: BidPlan } | null = null;
  const at = new Map(Array.from(account.targetIds, (id, place) => [id, place]));
  const decide = (settings: BidSettings) => {
    const key = JSON.stringify(settings);
    if (known?.key !== key) known = { key, plan: decideBids(prepared, settings) };
    return known.plan;
  };
  return {
    decide,
    columns: (settings, table) =>
      planColumns(decide(settings), account, table.size, (row) => table.targetId[row]),
    wanted: (settings, targetIds) => {
      const { proposals } = decide(settings);
      return targetIds.map((id) => {
        const proposal = proposals[at.get(id) ?? -1];
        return proposal && proposal.wanted > 0 && proposal.left !== 'not running' ? proposal.wanted : null;
      });
    },
    tryTarget: (settings, acos) => tryTarget(prepared, account, settings, acos),
  };
}

function tryTarget(
  prepared: PreparedBids,
  { accountScope, observations }: AccountObservations,
  settings: BidSettings,
  acos: number,
): TargetTrial {
  const plan = decideBids(
    withTargets(prepared, (scope) => (scope === accountScope ? acos : null)),
    settings,
  );
  const [now, after] = [new MonthSum(), new MonthSum()];
  let [down, up] = [0, 0];
  for (const proposal of plan.proposals) {
    const { product, isRunning } = observations.targets[proposal.target];
    if (!isRunning) continue;
    const margin = observations.products[product].margin ?? NaN;
    now.add(proposal.now, margin);
    after.add(proposal.after, margin);
    if (proposal.to < proposal.from) down += 1;
    if (proposal.to > proposal.from) up += 1;
  }
  return { acos, now: now.total, after: after.total, down, up };
}

/** Money at stake in a row of a plan, micros a month. */
export function rowStake(plan: PlanColumns, table: LensTable, row: number): number {
  const { nowClicks, nowSpend, nowSales, afterClicks, afterSpend, afterSales } = plan;
  return stakeOf(
    BID_STEPS[plan.step[row]],
    { clicks: nowClicks[row], spend: nowSpend[row], sales: nowSales[row] },
    { clicks: afterClicks[row], spend: afterSpend[row], sales: afterSales[row] },
    table.targetAcos[row],
  );
}
