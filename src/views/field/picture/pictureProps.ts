import type { Remote } from 'comlink';
import type { Area, CutLinePoints } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import type { Hovered } from '../../../table';
import type { RowsState } from '../../shared/useRows';
import type { FieldState } from '../useFieldState';
import type { FieldEngine } from '../../shared/fieldEngine/fieldEngine';
import type { LoadedLens } from '../../../plans/field';

export interface PictureProps {
  account: AccountInfo;
  engine: Remote<FieldEngine>;
  loaded: LoadedLens;
  state: FieldState;
  /** The rows that the picture is of: all that meet the conditions, brushed or not. */
  all: Int32Array;
  points: CutLinePoints | null;
  area: Area | null;
  onArea: (area: Area | null) => void;
  rows: RowsState;
  hovered: Hovered;
}
