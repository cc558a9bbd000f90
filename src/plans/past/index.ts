export { asOnDay } from './asOnDay';
