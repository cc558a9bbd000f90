import type { KeyLine } from './KeysHelp';

/** Keys of every list of rows. */
export const MOVE_KEYS: KeyLine = [
  '↑ ↓',
  'move to a row; with Shift, extend the selection; PageUp PageDown Home End too',
];
export const SELECT_ALL_KEYS: KeyLine = ['ctrl a', 'select all rows shown; Escape clears'];
