export { Place } from './Routes';
