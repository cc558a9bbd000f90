export { addSums, NO_SUMS, SUM_KEYS, sumsFrom } from './sums';
export type { Sums } from './sums';
export { measure, MEASURES, ratio } from './measures';
export { businessMeasure, BUSINESS_MEASURES } from './businessMeasures';
export type { BusinessMeasure, BusinessMeasureKey, BusinessSums } from './businessMeasures';
export type { Measure, MeasureKey, MeasureUnit } from './measures';
export { ACOS_CAUSES, acosChange, addedToAcos, causesInTenths } from './acosChange';
export type { AcosCause, AcosChange, PartSums } from './acosChange';
