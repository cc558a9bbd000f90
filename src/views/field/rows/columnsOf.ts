import type { MarketLimits } from '../../../core/changes';
import type { RowReader } from '../../../core/conditions';
import type { LensTable } from '../../../core/lenses';
import type { Sparks } from './useSparks';
import type { Staged } from '../../../plans/byHand';

export interface ColumnsOf {
  table: LensTable;
  reader: RowReader;
  currency: string;
  /** What the market takes. */
  limits: MarketLimits;
  staged: Staged;
  sparks: Sparks;
  editing: number | null;
  onEditing: (row: number | null) => void;
  onValue: (row: number, value: number) => void;
}
