import { MAX_MODIFIER } from '../../../core/changes';
import { placementAct } from '../../../plans/placements';
import { useBrush } from '../../shared/picture/useBrush';
import { useKeys } from '../../shared/useKeys';
import { rowKeys } from '../frame/rowKeys';
import { useRowDecisions } from '../frame/useRowDecisions';
import { editWith } from './placementColumns';
import type { PlacementWork } from './usePlacementWork';

interface PlacementKeys {
  work: PlacementWork;
  onAsk: () => void;
  onByHand: () => void;
  onAdding: (isAdding: boolean) => void;
  onFold: () => void;
}

/** Keys of the step of placements: every decision without the mouse. */
export function usePlacementKeys({ work, onAsk, onByHand, onAdding, onFold }: PlacementKeys): void {
  const { decisions, plan, loaded, isCurrent, accept, settings } = work;
  const { rows, area, setArea, points } = work.view;
  const brush = useBrush(area, setArea, points, rows);
  const table = loaded?.table;
  const ids = () => (table ? rows.chosen().map((row) => table.campaignId[row]) : []);
  const first = settings.modifiers.indexOf(true);
  /** Moves the modifier at the first placement that can be set. */
  const nudge = (by: number) => {
    if (!plan || !table || first < 0) return;
    for (const row of rows.chosen()) {
      const id = table.campaignId[row];
      const edit = decisions.edits.get(id);
      const now = placementAct(plan.rows[row], edit).to[first];
      const next = Math.min(MAX_MODIFIER, Math.max(0, Math.round((now + by) * 100) / 100));
      decisions.edit(id, editWith(edit, first, next));
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
    h: onByHand,
    e: () =>
      rows.focusedRow !== null && first >= 0 && work.setEditing({ row: rows.focusedRow, placement: first }),
    '[': () => nudge(-0.05),
    ']': () => nudge(0.05),
    s: () => onAdding(true),
    f: onFold,
  });
}
