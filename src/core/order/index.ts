export { groupBy } from './groupBy';
export { orderByNumbers, textPlaces } from './orderByNumbers';
export { largest, smallest } from './extent';
export type { Numbers } from './numbers';
export { pickNumbers, pickWhole, rowsKnown } from './pick';
