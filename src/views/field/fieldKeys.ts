import type { KeyLine } from '../shared/frame/KeysHelp';
import { MOVE_KEYS, SELECT_ALL_KEYS } from '../shared/frame/rowKeyLines';

export const FIELD_KEYS: KeyLine[] = [
  [
    '1 – 8',
    'lens: keywords, product targets, auto targets, search terms, placements, campaigns, ad groups, products',
  ],
  MOVE_KEYS,
  ['Enter', 'open the focused row: what lies below it'],
  ['Backspace', 'back out, one level up'],
  SELECT_ALL_KEYS,
  ['e', 'edit the bid, budget or modifier in place'],
  ['[ ]', 'bids (budgets, modifiers) of the selected rows −5 % or +5 %'],
  ['m', 'move by hand: to the bar below the rows'],
  ['p', 'pause the selected rows, or resume them'],
  ['s', 'stack a condition'],
  ['v', 'swaths: conditions kept by name'],
  ['b', 'brush on the picture around the focused row; arrows move it, with Shift its size; Escape ends'],
  ['f', 'fold the picture'],
  ['i', 'fold the evidence'],
  ['x', 'rows or cross-tab'],
  ['o', 'columns'],
  ['w', 'window'],
  ['ctrl c', 'copy the selected rows (or all) for a spreadsheet'],
];
