import type { BidFeed, BidSettings, PlanColumns } from '../../core/bids';
import { inDecimals } from '../../core/changes';
import { buildLens, GRADES, sumsAt } from '../../core/lenses';
import { indexTree } from '../../core/structure';
import type { AccountTree, TreeIndex } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import type { PlanChoices } from '../../contract/choices';
import { stepOfQueue } from '../../contract/review';
import type { BidQueue } from '../../contract/review';
import type { MarketLimits } from '../../core/changes';
import { actOf, arrangeBids, keptBids, roundSettings, toBidChange } from '../bids';
import type { AheadIds, BidEdits } from '../bids';
import { keptLens, toGrainSums } from '../field';
import type { KeptLens } from '../field';
import { amount, figuresOf } from './planned';
import type { Planned } from './planned';

/** What a step that tunes bids is planned from. */
export interface BidPlanParts {
  tree: AccountTree;
  sums: FieldSumsAnswer;
  feed: BidFeed;
  choices: PlanChoices['bids'];
  money: PlanChoices['money'];
  limits: MarketLimits;
  /** Targets that have a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
  /** Modifiers in the tray, and the base bids that go with them. */
  ahead: AheadIds;
}

const NO_EDITS: BidEdits = new Map();

/** Plans steps that tune bids, each the largest stake first: the rows and figures that the page shows. What they share is worked out once. */
export function bidPlanner(parts: BidPlanParts): {
  settings: BidSettings;
  plan: (step: BidQueue) => Planned[];
} {
  const { tree, feed, choices, limits } = parts;
  const index = indexTree(tree);
  const held = keptLens(1, buildLens('targets', index, toGrainSums(parts.sums).grainSums), index);
  const { table } = held;
  const settings = roundSettings({ bids: choices, money: parts.money }, limits, parts.ahead);
  const plan = keptBids(index, feed).columns(settings, table);
  return { settings, plan: (step) => plannedOf(step, parts, { index, held, plan, settings }) };
}

function plannedOf(
  step: BidQueue,
  { staged, aside }: BidPlanParts,
  {
    index,
    held,
    plan,
    settings,
  }: { index: TreeIndex; held: KeptLens; plan: PlanColumns; settings: BidSettings },
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
