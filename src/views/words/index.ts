export { Place } from './Words';
