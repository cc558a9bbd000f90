import type { Area, CutLinePoints } from '../../charts';
import { useKeys } from '../shared/useKeys';
import type { KeyMap } from '../shared/useKeys';
import { useBrush } from '../shared/picture/useBrush';
import { STEPS } from './useRoundState';
import type { RoundState } from './useRoundState';
import type { Decisions } from './useDecisions';
import type { RowsState } from '../shared/useRows';
import type { Arranged } from './worker/types';

interface RoundKeys {
  state: RoundState;
  rows: RowsState;
  decisions: Decisions;
  arranged: Arranged | null;
  /** Whether the rows shown are those asked for: no key may decide on rows that are about to change. */
  isCurrent: boolean;
  accept: (rows: number[]) => Promise<void>;
  area: Area | null;
  onArea: (area: Area | null) => void;
  points: CutLinePoints | null;
  onWindow: () => void;
  onEditing: (row: number | null) => void;
  onAdding: (isAdding: boolean) => void;
  onFold: () => void;
}

const PAGE = 8;

/** The round's keys: every decision without the mouse. */
export function useRoundKeys(view: RoundKeys): void {
  const { state, rows, decisions, arranged, area, onArea, points } = view;
  const row = rows.focusedRow;
  const stepBid = (factor: number) => {
    const proposal = row === null ? undefined : arranged?.proposals.get(row);
    if (row === null || proposal?.step !== 'harvest') return;
    const { bid } = decisions.edited(proposal) as typeof proposal;
    const stepped = Math.round((bid * factor) / 10_000) * 10_000;
    decisions.edit(row, {
      bid: Math.max(10_000, stepped === bid ? bid + Math.sign(factor - 1) * 10_000 : stepped),
    });
  };
  const edit = () => {
    const proposal = row === null ? undefined : arranged?.proposals.get(row);
    if (row === null || !proposal) return;
    const now = decisions.edited(proposal);
    if (now.step === 'harvest') view.onEditing(row);
    else decisions.edit(row, { inCampaign: !now.inCampaign });
  };
  const brush = useBrush(area, onArea, points, rows);
  const keys: KeyMap = {
    ...brush.keys,
    pagedown: () => rows.move(PAGE, false),
    pageup: () => rows.move(-PAGE, false),
    home: () => rows.move(-1e9, false),
    end: () => rows.move(1e9, false),
    space: () => view.isCurrent && void view.accept(rows.chosen()),
    x: () => view.isCurrent && void decisions.leave(rows.chosen()),
    l: () => view.isCurrent && void decisions.later(rows.chosen()),
    u: () => void decisions.undo(),
    e: edit,
    '[': () => stepBid(0.95),
    ']': () => stepBid(1.05),
    s: () => view.onAdding(true),
    f: view.onFold,
    w: view.onWindow,
    'ctrl+a': rows.selectAll,
    escape: () => {
      rows.clearSelection();
      brush.end();
    },
  };
  const steps: KeyMap = { 1: state.setOverview, w: view.onWindow };
  STEPS.forEach(({ name }, index) => (steps[String(index + 2)] = () => state.setStep(name)));
  // The overview decides nothing: no key may touch rows that are not shown.
  useKeys(state.isOverview ? steps : { ...keys, ...steps });
}
