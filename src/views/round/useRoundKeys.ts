import { useState } from 'react';
import type { Area, CutLinePoints } from '../../charts';
import { useKeys } from '../shared/useKeys';
import type { KeyMap } from '../shared/useKeys';
import { areaAround } from './picture';
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
/** A brush moves and grows by this factor: both axes are logarithmic. */
const NUDGE = 1.12;

/** The round's keys: every decision without the mouse. */
export function useRoundKeys(view: RoundKeys): void {
  const { state, rows, decisions, arranged, area, onArea, points } = view;
  const [isBrushing, setBrushing] = useState(false);
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
  const brush = () => {
    setBrushing(!isBrushing);
    onArea(isBrushing || !points ? null : areaAround(points, row));
  };
  const vertical = (by: number, growing: boolean) => () => {
    if (isBrushing && area) onArea(nudged(area, 'cpc', -by, growing));
    else rows.move(by, growing);
  };
  const horizontal = (by: number, growing: boolean) => () =>
    isBrushing && area && onArea(nudged(area, 'rpc', by, growing));
  const keys: KeyMap = {
    arrowdown: vertical(1, false),
    arrowup: vertical(-1, false),
    'shift+arrowdown': vertical(1, true),
    'shift+arrowup': vertical(-1, true),
    arrowright: horizontal(1, false),
    arrowleft: horizontal(-1, false),
    'shift+arrowright': horizontal(1, true),
    'shift+arrowleft': horizontal(-1, true),
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
    b: brush,
    f: view.onFold,
    w: view.onWindow,
    'ctrl+a': rows.selectAll,
    escape: () => {
      rows.clearSelection();
      if (area) onArea(null);
      setBrushing(false);
    },
  };
  STEPS.forEach(({ name }, index) => (keys[String(index + 1)] = () => state.setStep(name)));
  useKeys(keys);
}

/** An area moved, or with `growing` widened at its far end, along one axis. */
function nudged(area: Area, axis: 'rpc' | 'cpc', by: number, growing: boolean): Area {
  const [low, high] = area[axis];
  const factor = NUDGE ** by;
  const far = Math.max(low * 1.02, high * factor);
  return { ...area, [axis]: growing ? [low, far] : [low * factor, high * factor] };
}
