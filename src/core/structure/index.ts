export { indexStructure, isExactTarget } from './structureIndex';
export type { StructureIndex } from './structureIndex';
export type { AdGroup, Campaign, Negative, State, Structure, Target, TargetKind } from './structure';
