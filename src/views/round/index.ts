export { Place } from './Round';
