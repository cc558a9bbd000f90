import { useBrush } from '../../shared/picture/useBrush';
import { nudged } from '../../../core/changes';
import { nextReach } from './reachWords';
import { rowKeys } from '../frame/rowKeys';
import { useRowDecisions } from '../frame/useRowDecisions';
import { useKeys } from '../../shared/useKeys';
import type { TermWork } from './useTermWork';

interface TermKeys {
  work: TermWork;
  onAdding: (isAdding: boolean) => void;
  onFold: () => void;
}

/** Keys of a step that goes through search terms: every decision without the mouse. */
export function useTermKeys({ work, onAdding, onFold }: TermKeys): void {
  const { decisions, review, arranged, isCurrent, accept, setEditing } = work;
  const { rows, area, setArea, points } = work.view;
  const row = rows.focusedRow;
  const stepBid = (factor: number) => {
    const proposal = row === null ? undefined : arranged?.proposals.get(row);
    if (row === null || proposal?.step !== 'harvest') return;
    const { bid } = decisions.edited(proposal) as typeof proposal;
    const moved = review && nudged(bid, factor, review.account.limits);
    if (moved) decisions.edit(row, { bid: moved });
  };
  const edit = () => {
    const proposal = row === null ? undefined : arranged?.proposals.get(row);
    if (row === null || !proposal) return;
    const now = decisions.edited(proposal);
    if (now.step === 'harvest') setEditing(row);
    else decisions.edit(row, { reach: nextReach(now.reach, now.places) });
  };
  const brush = useBrush(area, setArea, points, rows);
  const deciding = useRowDecisions(isCurrent, work.list, {
    space: () => void accept(rows.chosen()),
    x: () => void decisions.leave(rows.chosen()),
    l: () => void decisions.later(rows.chosen()),
  });
  useKeys({
    ...rowKeys(rows, brush),
    ...deciding,
    e: edit,
    '[': () => stepBid(0.95),
    ']': () => stepBid(1.05),
    s: () => onAdding(true),
    f: onFold,
  });
}
