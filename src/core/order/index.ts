export { groupBy } from './groupBy';
export { orderByNumbers, textPlaces } from './orderByNumbers';
