import { describe, expect, test } from 'vitest';
import { readBack, USUAL_LIMITS } from '.';
import type { Change, FileLine } from '.';

const changes: { id: number; change: Change }[] = [
  { id: 7, change: { kind: 'set-bid', targetId: 1, from: 400_000, to: 350_000 } },
  { id: 8, change: { kind: 'add-keyword', adGroupId: 1, expression: 'jar', match: 'exact', bid: 520_000 } },
  { id: 9, change: { kind: 'set-modifier', campaignId: 1, placement: 'top', from: 0.2, to: 0.5 } },
  { id: 10, change: { kind: 'set-state', entity: 'target', id: 1, from: 'enabled', to: 'paused' } },
];
const line = (line: number, change: string, to: string, bid = ''): FileLine => ({ line, change, to, bid });
const same = [line(2, '7', '0.35'), line(3, '8', '', '0.52'), line(4, '9', '0.5'), line(5, '10', 'paused')];
const readMoney = (text: string) => {
  const value = Number(text);
  return Number.isFinite(value) ? Math.round(value * 1e6) : { reason: `${text} is not an amount.` };
};
const read = (lines: FileLine[]) => readBack(lines, changes, USUAL_LIMITS, readMoney);

describe('an edited change file', () => {
  test('that says what the tray says changes nothing', () => {
    expect(read(same)).toEqual({ edits: [], missing: [], refused: [], same: 4 });
  });

  test.each<[string, FileLine, number]>([
    ['a bid', line(2, '7', '0.30'), 300_000],
    ['the bid of a keyword to add', line(3, '8', '', '0.6'), 600_000],
    ['a modifier in per cent', line(4, '9', '75 %'), 0.75],
    ['a modifier with a decimal comma', line(4, '9', '0,75'), 0.75],
  ])('tells the difference: %s', (_, edited, to) => {
    const { edits, refused } = read([edited]);
    expect(refused).toEqual([]);
    expect(edits).toMatchObject([{ line: edited.line, to }]);
  });

  test.each<[string, FileLine, RegExp]>([
    ['a change that the tray does not know', line(9, '77', '0.3'), /no change 77/],
    ['a line without a number', line(9, '', '0.3'), /no change number/],
    ['a value that is none', line(9, '7', 'less'), /less is not an amount/],
    ['a value that is missing', line(9, '7', ''), /missing/],
    ['a share that is none', line(9, '9', 'half'), /“half” is no share/],
    ['a bid below the market’s minimum', line(9, '7', '0.01'), /below the market’s minimum/],
    ['a bid off the step', line(9, '7', '0.355'), /not on one/],
  ])('refuses by line: %s', (_, wrong, reason) => {
    const result = read([wrong]);
    expect(result.refused).toMatchObject([{ line: 9, reason: expect.stringMatching(reason) }]);
    expect(result.edits).toEqual([]);
  });

  test('names a change once, and tells what it does not name any more', () => {
    const result = read([line(2, '7', '0.30'), line(3, '7', '0.31')]);
    expect(result.edits).toMatchObject([{ line: 2, to: 300_000 }]);
    expect(result.refused).toMatchObject([{ line: 3 }]);
    expect(result.missing).toEqual([8, 9, 10]);
  });
});
