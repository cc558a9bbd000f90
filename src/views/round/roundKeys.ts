import { groupBy } from '../../core/order';
import type { KeyLine } from '../shared/frame/KeysHelp';
import { MOVE_KEYS, SELECT_ALL_KEYS } from '../shared/frame/rowKeyLines';
import type { RoundStep } from './steps/step';

/** The keys of the round: its steps by their digits, what holds in all of them, and what some know beside. */
export function roundKeys(steps: readonly RoundStep[]): KeyLine[] {
  const own = groupBy(
    steps.flatMap(({ keys }) => keys),
    ([key]) => key,
  );
  return [
    [`1 … ${steps.length}`, `step of the round: ${steps.map(({ label }) => label.toLowerCase()).join(', ')}`],
    MOVE_KEYS,
    ['space', 'accept the row, or the selected rows'],
    ['x', 'leave it: not proposed again for 30 days'],
    ['l', 'later: back in a week'],
    ['e', 'edit the bid in place, or where a negative holds'],
    // What a key does in several steps is told in one line, and the same words once.
    ...[...own].map(([key, lines]): KeyLine => [key, [...new Set(lines.map(([, does]) => does))].join('; ')]),
    SELECT_ALL_KEYS,
    ['s', 'stack a condition'],
    ['b', 'brush on the picture: arrows move the area, with Shift they size it, b ends it'],
    ['d', 'one line a row, or two with the reason'],
    ['f', 'fold or unfold the picture'],
    ['w', 'window'],
  ];
}
