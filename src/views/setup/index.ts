export { Place } from './Setup';
