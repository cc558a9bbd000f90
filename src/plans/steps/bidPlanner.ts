import { planByRows } from '../../core/bids';
import type { PlanColumns, TargetPlan } from '../../core/bids';
import { inDecimals } from '../../core/changes';
import { buildLens, GRADES, sumsAt } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import { stepOfQueue } from '../../contract/review';
import type { BidQueue } from '../../contract/review';
import { actOf, arrangeBids, toBidChange } from '../bids';
import type { BidEdits, RoundSettings } from '../bids';
import { keptLens, toGrainSums } from '../field';
import type { KeptLens } from '../field';
import { amount, figuresOf } from './planned';
import type { Planned } from './planned';

/** What a step that tunes bids is planned from. */
export interface BidPlanParts {
  sums: FieldSumsAnswer;
  /** A bid for every target, at these settings. */
  bids: TargetPlan;
  settings: RoundSettings;
  /** Targets that have a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

const NO_EDITS: BidEdits = new Map();

/** Plans steps that tune bids, each the largest stake first: the rows and figures that the page shows. What they share is worked out once. */
export function bidPlanner(index: TreeIndex, parts: BidPlanParts): (step: BidQueue) => Planned[] {
  const held = keptLens(1, buildLens('targets', index, toGrainSums(parts.sums).grainSums), index);
  const { table } = held;
  const plan = planByRows(parts.bids, table.size, (row) => table.targetId[row]);
  return (step) => plannedOf(step, parts, { index, held, plan });
}

function plannedOf(
  step: BidQueue,
  { staged, aside, settings }: BidPlanParts,
  { index, held, plan }: { index: TreeIndex; held: KeptLens; plan: PlanColumns },
): Planned[] {
  const { table } = held;
  const { rows } = arrangeBids(held, plan, {
    step: stepOfQueue(step),
    show: step === 'test' ? 'testing' : 'proposed',
    settings,
    conditions: [],
    sort: null,
    staged,
    aside,
  });
  return Array.from(rows).flatMap((row): Planned[] => {
    const act = actOf(plan, table, NO_EDITS, row);
    const made = toBidChange(act, plan, table, NO_EDITS, step);
    if (!made) return [];
    const [spend, sales] = [act.after.spend - act.now.spend, act.after.sales - act.now.sales];
    const margin = table.margin[row];
    const profit = Number.isNaN(margin) ? null : margin * sales - spend;
    const [campaign, adGroup] = [
      index.campaigns.get(table.campaignId[row]),
      index.adGroups.get(table.adGroupId[row]),
    ];
    return [
      {
        changes: [made],
        adGroupId: table.adGroupId[row],
        expected: { spend, sales, profit },
        told: {
          subject: {
            kind: 'target',
            id: act.targetId,
            name: table.name[row],
            campaign: campaign?.name ?? '',
            adGroup: adGroup?.name ?? '',
          },
          from: amount(act.from),
          to: amount(act.to),
          change: inDecimals(made.change),
          also: [],
          reason: made.reason,
          evidence: GRADES[plan.grade[row]],
          figures: figuresOf(sumsAt(table.now, row)),
          expected: {
            clicks: act.after.clicks - act.now.clicks,
            spend: amount(spend),
            sales: amount(sales),
            profit: amount(profit),
          },
        },
      },
    ];
  });
}
