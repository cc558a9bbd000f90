export { feedOnDay } from './feedOnDay';
