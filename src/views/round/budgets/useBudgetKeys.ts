import { useBrush } from '../../shared/picture/useBrush';
import { useKeys } from '../../shared/useKeys';
import { rowKeys } from '../frame/rowKeys';
import { useRowDecisions } from '../frame/useRowDecisions';
import type { BudgetWork } from './useBudgetWork';

interface BudgetKeys {
  work: BudgetWork;
  onAsk: () => void;
  onMoney: () => void;
  onAdding: (isAdding: boolean) => void;
  onFold: () => void;
}

const CENT = 10_000;

/** Keys of the step of budgets: every decision without the mouse. */
export function useBudgetKeys({ work, onAsk, onMoney, onAdding, onFold }: BudgetKeys): void {
  const { decisions, plan, loaded, isCurrent, accept, limits } = work;
  const { rows, area, setArea, points } = work.view;
  const brush = useBrush(area, setArea, points, rows);
  const table = loaded?.table;
  const ids = () => (table ? rows.chosen().map((row) => table.campaignId[row]) : []);
  const nudge = (factor: number) => {
    if (!plan || !table) return;
    for (const row of rows.chosen()) {
      const { to } = plan.rows[row];
      if (to === null) continue;
      const next = Math.round((to * factor) / CENT) * CENT;
      decisions.edit(table.campaignId[row], Math.min(limits.maxBudget, Math.max(limits.minBudget, next)));
    }
  };
  const own = rowKeys(rows, brush);
  const deciding = useRowDecisions(isCurrent, work.list, {
    space: () => void accept(rows.chosen()),
    x: () => void decisions.put(ids(), 'left'),
    l: () => void decisions.put(ids(), 'later'),
  });
  useKeys({
    ...own,
    ...deciding,
    a: onAsk,
    m: onMoney,
    e: () => rows.focusedRow !== null && work.setEditing(rows.focusedRow),
    0: () => ids().forEach((id) => decisions.edit(id, null)),
    '[': () => nudge(0.95),
    ']': () => nudge(1.05),
    s: () => onAdding(true),
    f: onFold,
  });
}
