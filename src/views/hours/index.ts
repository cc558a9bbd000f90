export { Place } from './Hours';
