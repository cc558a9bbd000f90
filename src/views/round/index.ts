export { RoundPlace } from './Round';
