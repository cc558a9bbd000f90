import { useMemo, useState } from 'react';
import type { AccountInfo } from '../../contract/api';
import { asksPlan } from '../../plans/bids';
import { dataVersion } from '../shared/fieldEngine/dataVersion';
import { useChoices } from '../shared/useChoices';
import { lensReader } from '../../core/lenses';
import type { Area } from '../../charts';
import { pointsOf, rowsInArea } from '../shared/picture/points';
import { useBrush } from '../shared/picture/useBrush';
import { useRows } from '../shared/useRows';
import type { FieldState } from './useFieldState';
import { useArrangedRows } from './useLens';
import type { LensState } from './useLens';
import type { LoadedLens } from '../../plans/field';
import { roundSettings } from '../../plans/bids';

const NO_ROWS = new Int32Array();

/** The rows of a lens that meet the conditions: as points of the picture, brushed, focused, selected. */
export function useLensRows(
  { engine, onGone }: LensState,
  account: AccountInfo,
  loaded: LoadedLens,
  state: FieldState,
  isDrawn: boolean,
) {
  const { table } = loaded;
  const { stack, scope, sorts } = state;
  const { choices } = useChoices(account);
  const judge = {
    account: account.id,
    version: dataVersion(account),
    settings: roundSettings(choices, account.limits),
  };
  const [area, setArea] = useState<Area | null>(null);
  const { arranged, isCurrent, error } = useArrangedRows(
    engine,
    loaded.loadId,
    { scope, stack, sorts, judge: asksPlan(stack, sorts) ? judge : null },
    onGone,
  );
  const reader = useMemo(() => lensReader(table), [table]);
  const source = useMemo(
    () => ({
      clicks: table.now.clicks,
      spend: table.now.spend,
      rpc: table.rpc,
      low: table.rpcLow,
      high: table.rpcHigh,
      grade: table.grade,
    }),
    [table],
  );
  const all = arranged?.rows ?? NO_ROWS;
  const shown = useMemo(() => (area ? rowsInArea(all, source, area) : all), [all, source, area]);
  // The same rows in another order are the same picture.
  const set = arranged && `${arranged.loadId} ${arranged.set}`;
  const points = useMemo(
    () => (isDrawn && set !== null ? pointsOf(all, source) : null),
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- `set` tells when other rows are in `all`
    [set, source, isDrawn],
  );
  const rows = useRows(shown, `${loaded.loadId}`);
  const brush = useBrush(area, setArea, points, rows);
  return { arranged, isCurrent, error, reader, all, shown, points, area, setArea, rows, brush };
}
