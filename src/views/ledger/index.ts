export { LedgerPlace } from './Ledger';
