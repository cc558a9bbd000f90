export { keptLens } from './keptLens';
export type { KeptLens } from './keptLens';
export { toGrainSums } from './toGrainSums';
export type { LoadedSums } from './toGrainSums';
export { meetRows } from './meetRows';
export { heldBy } from './heldBy';
export type { Held } from './heldBy';
export { overviewOf } from './overviewParts';
export { movedBy } from './movedBy';
export type { MovedBy, MoverLevel } from './movedBy';
export { findInTree } from './findInTree';
export type {
  ArrangedRows,
  CrossTab,
  Dimension,
  ElsewhereRow,
  Found,
  LensName,
  LoadedLens,
  Movers,
  OverviewParts,
  PictureAnswer,
  PictureAsked,
  RowsAsked,
  ScopeKind,
} from './types';
