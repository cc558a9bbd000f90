export { Place } from './Field';
