export { indexStructure, isExactTarget, targetForm } from './structureIndex';
export type { StructureIndex } from './structureIndex';
export type {
  AdGroup,
  Campaign,
  Negative,
  PlaceState,
  State,
  Structure,
  Target,
  TargetKind,
} from './structure';
export { PLACEMENT_LABELS, PLACEMENTS } from './placement';
export type { Placement } from './placement';
export { refinementKey, refinementWords } from './refinement';
export type { Listing, Refinement } from './refinement';
export { indexTree } from './accountTree';
export { isInScope } from './scope';
export { NO_TARGETS, oneOfEachForm, TARGET_KINDS, TARGET_STATES, toTargets } from './targetColumns';
export type { TargetColumns } from './targetColumns';
export type {
  AccountTree,
  AdGroupNode,
  CampaignNode,
  LastChange,
  Place,
  ProductNode,
  TreeIndex,
} from './accountTree';
