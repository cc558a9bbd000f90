import type { KeyLine } from '../shared/frame/KeysHelp';

export const ROUND_KEYS: KeyLine[] = [
  ['1 … 6', 'step of the round: overview, dead spend, overpaying, room to grow, harvest, negatives'],
  ['↑ ↓', 'row; with Shift the selection grows; PageUp PageDown Home End too'],
  ['space', 'accept the row, or the selected rows'],
  ['x', 'leave it: not proposed again for 30 days'],
  ['l', 'later: back in a week'],
  ['u', 'undo the last decision'],
  ['e', 'edit the bid in place, or where a negative holds'],
  ['[ ]', 'bid −5 % or +5 %'],
  ['0', 'bids: to the floor, or back to what is proposed'],
  ['p', 'bids: pause instead of lowering, or back'],
  ['o', 'bids: accept the loss, with a note'],
  ['a', 'bids: accept the whole step, after a summary'],
  ['< >', 'bids: another target ACOS on the cut line, by 1 %'],
  ['ctrl a', 'select all rows shown; Escape clears'],
  ['s', 'stack a condition'],
  ['b', 'brush on the picture: arrows move the area, with Shift they size it, b ends it'],
  ['f', 'fold or unfold the picture'],
  ['w', 'window'],
];
