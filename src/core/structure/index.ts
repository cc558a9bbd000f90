export { indexStructure, isExactTarget } from './structureIndex';
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
