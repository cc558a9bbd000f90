export { LENS_NAMES, LENSES, lensNamed } from './lens';
export type { IdColumn, Lens, LensEntity, LensGrain, LensName, LensValue } from './lens';
export { indexTree } from './accountTree';
export type {
  AccountTree,
  AdGroupNode,
  CampaignNode,
  LastChange,
  Place,
  ProductNode,
  TreeIndex,
} from './accountTree';
export { noSumColumns, SUM_KEYS, sumOfRows, sumsAt } from './sumColumns';
export type { SumColumns } from './sumColumns';
export { GRADES, STANDINGS, standingOf, STATES } from './lensTable';
export type { LensTable, Standing } from './lensTable';
export { buildLens } from './buildLens';
export type { GrainSums } from './buildLens';
export { knownTerms } from './knownTerms';
export type { KnownTerm } from './knownTerms';
export { lensReader, measureReader } from './lensReader';
export { pathOf, readScope, rowsInScope, SCOPE_KINDS, writeScope } from './scope';
export type { LensScope, ScopeKind } from './scope';
export { sumStandings } from './standings';
export type { StandingSum } from './standings';
export { spreadOf } from './histogram';
export type { Bar, Spread } from './histogram';
export { rankRows } from './ranking';
export type { Ranked, Ranking } from './ranking';
export { findMovers } from './movers';
export type { Mover, Movers } from './movers';
export { crossTabOf, DIMENSIONS } from './crossTab';
export type { Cell, CrossTab, Dimension, DimensionValue } from './crossTab';
