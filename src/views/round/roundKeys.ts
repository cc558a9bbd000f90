import type { KeyLine } from '../shared/frame/KeysHelp';

export const ROUND_KEYS: KeyLine[] = [
  ['1 2 3', 'step of the round: overview, harvest, negatives'],
  ['↑ ↓', 'row; with Shift the selection grows; PageUp PageDown Home End too'],
  ['space', 'accept the row, or the selected rows'],
  ['x', 'leave it: not proposed again for 30 days'],
  ['l', 'later: back in a week'],
  ['u', 'undo the last decision'],
  ['e', 'edit the bid in place, or where a negative holds'],
  ['[ ]', 'bid −5 % or +5 %'],
  ['ctrl a', 'select all rows shown; Escape clears'],
  ['s', 'stack a condition'],
  ['b', 'brush on the picture: arrows move the area, with Shift they size it, b ends it'],
  ['f', 'fold or unfold the picture'],
  ['w', 'window'],
];
