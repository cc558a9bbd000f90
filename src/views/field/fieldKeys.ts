import type { KeyLine } from '../shared/frame/KeysHelp';

export const FIELD_KEYS: KeyLine[] = [
  ['↑ ↓', 'row; with Shift the selection grows; PageUp PageDown Home End too'],
  ['ctrl a', 'select all rows shown; Escape clears'],
  ['e', 'edit the bid in place'],
  ['[ ]', 'bids of the selected rows −5 % or +5 %'],
  ['u', 'take the last changes out of the tray'],
  ['/', 'search'],
];
