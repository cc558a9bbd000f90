export { Place } from './Ledger';
