import type { PictureProps } from './pictureProps';
import { useMemo } from 'react';
import { CutLine } from '../../../charts';
import type { PictureKind } from '../fieldView';
import type { LoadedLens } from '../../../plans/field';
import { BarsPicture } from './BarsPicture';
import { HistogramPicture } from './HistogramPicture';
import { TrendPicture } from './TrendPicture';

export const PICTURES: { kind: PictureKind; label: string }[] = [
  { kind: 'cut', label: 'Cut line' },
  { kind: 'bars', label: 'Ranked bars' },
  { kind: 'trend', label: 'Trend' },
  { kind: 'histogram', label: 'Histogram' },
];

/** The picture that is chosen. */
export function Picture(props: PictureProps & { height: number }) {
  const { account, state, points, area, onArea, rows, height, loaded, all } = props;
  const target = useMemo(
    () => usualTarget(loaded, all, account.targetAcos),
    [loaded, all, account.targetAcos],
  );
  const nameOf = (row: number) => loaded.table.name[row];
  switch (state.picture) {
    case 'cut':
      return points ? (
        <CutLine
          points={points}
          target={target}
          currency={account.currency}
          height={height}
          focusedRow={rows.focusedRow}
          area={area}
          onArea={onArea}
          onPick={rows.focusRow}
          hovered={props.hovered}
          nameOf={nameOf}
        />
      ) : null;
    case 'bars':
      return <BarsPicture {...props} />;
    case 'trend':
      return <TrendPicture {...props} />;
    case 'histogram':
      return <HistogramPicture {...props} />;
  }
}

/** The target ACOS of the rows, each weighted by its spend: the line of a picture in which rows may have several. */
function usualTarget({ table }: LoadedLens, rows: Int32Array, fallback: number): number {
  let [sum, weight] = [0, 0];
  for (const row of rows) {
    const target = table.targetAcos[row];
    if (!(target > 0)) continue;
    sum += target * table.now.spend[row];
    weight += table.now.spend[row];
  }
  return weight > 0 ? sum / weight : fallback;
}
