export { orderByNumbers, textPlaces } from './orderByNumbers';
