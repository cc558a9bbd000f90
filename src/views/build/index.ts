export { Place } from './Build';
