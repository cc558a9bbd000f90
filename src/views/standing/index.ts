export { Place } from './Standing';
