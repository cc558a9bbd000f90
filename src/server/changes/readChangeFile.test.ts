import { describe, expect, test } from 'vitest';
import { parseAmount } from '../../connect/reports';
import { parseChangeFile } from './readChangeFile';

/** The amounts of a file as they count, in currency units. */
const amounts = (text: string) => {
  const { lines, notation } = parseChangeFile(text, 'EUR');
  return lines.map(({ to }) => (parseAmount(to, 'The value', notation) as number) / 1e6);
};

describe('an edited change file', () => {
  test('is read whatever parts its cells and writes its decimals', () => {
    expect(amounts('change,bid,to\n7,,0.30\n8,,1.5\n')).toEqual([0.3, 1.5]);
    expect(amounts('change;bid;to\r\n7;;0,30\r\n8;;1,5\r\n')).toEqual([0.3, 1.5]);
    expect(amounts('change\tbid\tto\n7\t\t0.30\n')).toEqual([0.3]);
  });

  test('with three decimals is not taken for thousands', () => {
    expect(amounts('change;bid;to\n7;;0,350\n8;;0,425\n')).toEqual([0.35, 0.425]);
    expect(amounts('change,bid,to\n7,,0.350\n')).toEqual([0.35]);
  });

  test('counts lines as a spreadsheet does, empty ones and line ends in cells too', () => {
    const { lines } = parseChangeFile('change,bid,to,reason\n7,,0.3,"two\nlines"\n\n8,,0.4,one\n', 'EUR');
    expect(lines.map(({ line, change }) => [line, change])).toEqual([
      [2, '7'],
      [5, '8'],
    ]);
  });

  test('takes columns by their headings, wherever they stand', () => {
    const { lines } = parseChangeFile('reason,To,Bid,Change\nbecause,0.3,,7\n', 'EUR');
    expect(lines).toEqual([{ line: 2, change: '7', bid: '', to: '0.3' }]);
  });

  test('may be JSON', () => {
    const text = JSON.stringify({ changes: [{ id: 7, kind: 'set-bid', from: '0.40', to: '0.30' }] });
    expect(parseChangeFile(text, 'EUR')).toEqual({
      lines: [{ line: 1, change: '7', bid: '', to: '0.30' }],
      notation: { mark: '.', isSure: true, currency: 'EUR' },
    });
  });

  test.each<[string, string, RegExp]>([
    ['another table', 'Day,Clicks\n2026-11-01,5\n', /no column “change”, “bid”, “to”/],
    ['a file without lines', '', /no change file/],
    ['JSON that is cut off', '{"changes": [', /no valid JSON/],
    ['JSON of something else', '{"rows": []}', /no list “changes”/],
  ])('is refused with what is wrong: %s', (_, text, reason) => {
    expect(() => parseChangeFile(text, 'EUR')).toThrow(reason);
  });
});
