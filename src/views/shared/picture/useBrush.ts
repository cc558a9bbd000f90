import { useState } from 'react';
import type { Area, CutLinePoints } from '../../../charts';
import type { RowsState } from '../useRows';
import { areaAround } from './points';
import type { KeyMap } from '../useKeys';

/** A brush moves and grows by this factor: both axes are logarithmic. */
const NUDGE = 1.12;

/** An area moved, or with `growing` widened at its far end, along one axis. */
function nudged(area: Area, axis: 'rpc' | 'cpc', by: number, growing: boolean): Area {
  const [low, high] = area[axis];
  const factor = NUDGE ** by;
  const far = Math.max(low * 1.02, high * factor);
  return { ...area, [axis]: growing ? [low, far] : [low * factor, high * factor] };
}

/** The arrow keys over a picture and its rows: they move the brush while there is one by key, else the focus. */
export function useBrush(
  area: Area | null,
  onArea: (area: Area | null) => void,
  points: CutLinePoints | null,
  rows: RowsState,
): { keys: KeyMap; end: () => void } {
  const [isBrushing, setBrushing] = useState(false);
  const vertical = (by: number, growing: boolean) => () => {
    if (isBrushing && area) onArea(nudged(area, 'cpc', -by, growing));
    else rows.move(by, growing);
  };
  const horizontal = (by: number, growing: boolean) => () =>
    isBrushing && area && onArea(nudged(area, 'rpc', by, growing));
  return {
    keys: {
      arrowdown: vertical(1, false),
      arrowup: vertical(-1, false),
      'shift+arrowdown': vertical(1, true),
      'shift+arrowup': vertical(-1, true),
      arrowright: horizontal(1, false),
      arrowleft: horizontal(-1, false),
      'shift+arrowright': horizontal(1, true),
      'shift+arrowleft': horizontal(-1, true),
      b: () => {
        setBrushing(!isBrushing);
        onArea(isBrushing || !points ? null : areaAround(points, rows.focusedRow));
      },
    },
    end: () => {
      if (area) onArea(null);
      setBrushing(false);
    },
  };
}
