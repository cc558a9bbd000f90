import { budgetReason } from '../../core/budgets';
import { buildLens } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import { budgetChanges, budgetRows, budgetStake, isMoved } from '../budgets';
import type { BudgetsPlan } from '../budgets';
import { arrangeCampaigns } from '../campaigns';
import { keptLens, toGrainSums } from '../field';
import { amount, plannedCampaign } from './planned';
import type { Planned } from './planned';

/** What the step of budgets is planned from. */
export interface BudgetParts {
  /** Its targets are not needed, and the sums are those of ad groups. */
  index: TreeIndex;
  sums: FieldSumsAnswer;
  budgets: BudgetsPlan;
  /** Campaigns that have such a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

/** What is proposed for the account's budgets, what wins most sales first: the rows and figures that the page shows. */
export function planBudgetStep({ index, sums, budgets, staged, aside }: BudgetParts): Planned[] {
  const lens = keptLens(1, buildLens('campaigns', index, toGrainSums(sums).grainSums), index);
  const { table } = lens;
  const { rows } = budgetRows(budgets, table);
  const arranged = arrangeCampaigns(
    lens,
    { show: 'proposed', conditions: [], sort: null, staged, aside },
    rows.map(budgetStake),
    (row) => isMoved(rows[row]),
  );
  return Array.from(arranged.rows).flatMap((row): Planned[] => {
    const changes = budgetChanges(rows, table, [row]);
    if (changes.length === 0) return [];
    const { stands, to } = rows[row];
    const said = { from: amount(stands), to: amount(to), reason: budgetReason(rows[row]) };
    return [plannedCampaign(table, row, rows[row], changes, said)];
  });
}
