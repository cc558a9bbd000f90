export { findIn } from './findIn';
export { BETWEEN_TEXTS } from './types';
export type { FindingsFrom, FoundColumns, FoundIn } from './types';
