import { useMemo, useState } from 'react';
import type { Area } from '../../charts';
import { pointsOf, rowsInArea } from '../shared/picture/points';
import type { PointSource } from '../shared/picture/points';
import { useRows } from '../shared/useRows';

const NO_ROWS = new Int32Array();

/** The rows of a step: as points of the picture, brushed, focused, selected. @param list begun anew with another one */
export function useStepRows(arranged: Int32Array | undefined, source: PointSource | null, list: string) {
  const [area, setArea] = useState<Area | null>(null);
  const shown = useMemo(
    () => (arranged && source && area ? rowsInArea(arranged, source, area) : (arranged ?? NO_ROWS)),
    [arranged, source, area],
  );
  const rows = useRows(shown, list);
  const points = useMemo(() => (arranged && source ? pointsOf(arranged, source) : null), [arranged, source]);
  return { area, setArea, shown, rows, points };
}

export type StepRowsState = ReturnType<typeof useStepRows>;
