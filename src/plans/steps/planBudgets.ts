import type { BidFeed } from '../../core/bids';
import { budgetReason } from '../../core/budgets';
import type { MarketLimits } from '../../core/changes';
import { buildLens } from '../../core/lenses';
import { indexTree } from '../../core/structure';
import type { AccountTree } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import type { PlanChoices } from '../../contract/choices';
import { keptBids, roundSettings } from '../bids';
import type { AheadIds, RoundSettings } from '../bids';
import { budgetChanges, budgetStake, isMoved, planBudgetRows } from '../budgets';
import { arrangeCampaigns } from '../campaigns';
import { keptLens, toGrainSums } from '../field';
import { amount, plannedCampaign } from './planned';
import type { Planned } from './planned';

/** What the step of budgets is planned from. */
export interface BudgetParts {
  tree: AccountTree;
  sums: FieldSumsAnswer;
  feed: BidFeed;
  choices: Pick<PlanChoices, 'bids' | 'money'>;
  limits: MarketLimits;
  ahead: AheadIds;
  /** Campaigns that have such a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

/** What is proposed for the account's budgets, what wins most sales first: the rows and figures that the page shows. */
export function planBudgetStep(parts: BudgetParts): { settings: RoundSettings; planned: Planned[] } {
  const { tree, sums, feed, choices, limits, ahead, staged, aside } = parts;
  const index = indexTree(tree);
  const lens = keptLens(1, buildLens('campaigns', index, toGrainSums(sums).grainSums), index);
  const { table } = lens;
  const settings = roundSettings(choices, limits, ahead);
  const { rows } = planBudgetRows(keptBids(index, feed), { settings, locks: [] }, table, index);
  const arranged = arrangeCampaigns(
    lens,
    { show: 'proposed', conditions: [], sort: null, staged, aside },
    rows.map(budgetStake),
    (row) => isMoved(rows[row]),
  );
  const planned = Array.from(arranged.rows).flatMap((row): Planned[] => {
    const changes = budgetChanges(rows, table, [row]);
    if (changes.length === 0) return [];
    const { stands, to } = rows[row];
    const said = { from: amount(stands), to: amount(to), reason: budgetReason(rows[row]) };
    return [plannedCampaign(table, row, rows[row], changes, said)];
  });
  return { settings, planned };
}
