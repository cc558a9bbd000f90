import type { MarketLimits } from '../../../core/changes';
import type { RowReader } from '../../../core/conditions';
import type { LensTable } from '../../../core/lenses';
import type { Staged } from '../../../plans/byHand';

export interface ColumnsOf {
  table: LensTable;
  reader: RowReader;
  currency: string;
  /** What the market takes. */
  limits: MarketLimits;
  staged: Staged;
  sparks: (row: number) => number[] | undefined;
  editing: number | null;
  onEditing: (row: number | null) => void;
  onValue: (row: number, value: number) => void;
}
