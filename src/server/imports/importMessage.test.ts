import { describe, expect, test } from 'vitest';
import { MowingError } from '../../contract/mowingError';
import type { ImportEnd } from '../../db/queries/imports';
import { importMessage, refusedMessage } from './importMessage';

const anEnd = (over: Partial<ImportEnd> = {}): ImportEnd => ({
  state: 'done',
  read: 100,
  kept: 100,
  unchanged: 0,
  refused: 0,
  headings: [],
  matched: { Units: 'units' },
  unmatched: [],
  unread: [],
  asks: { decimals: null, dayOrder: null },
  several: [],
  sums: [],
  firstLines: [],
  headingLine: 1,
  byName: false,
  firstDay: '2026-10-01',
  lastDay: '2026-10-28',
  message: '',
  ...over,
});

describe('what an import came to is told in sentences', () => {
  test.each<[string, Partial<ImportEnd>, string]>([
    ['all kept', {}, '100 rows taken in (1 Oct 2026 to 28 Oct 2026).'],
    ['one row of one day', { kept: 1, lastDay: '2026-10-01' }, '1 row taken in (1 Oct 2026).'],
    [
      'some refused',
      { kept: 98, refused: 2 },
      '98 rows taken in (1 Oct 2026 to 28 Oct 2026). 2 rows refused: see the list of lines and reasons.',
    ],
    [
      'some known',
      { kept: 40, unchanged: 60 },
      '40 rows taken in (1 Oct 2026 to 28 Oct 2026); 60 rows were here already.',
    ],
    [
      'one known',
      { kept: 1, unchanged: 1 },
      '1 row taken in (1 Oct 2026 to 28 Oct 2026); 1 row was here already.',
    ],
    [
      'all known',
      { kept: 0, unchanged: 1234 },
      'Nothing changed: all 1,234 rows (1 Oct 2026 to 28 Oct 2026) were here already with the same figures.',
    ],
    [
      'none kept',
      { state: 'refused', kept: 0, refused: 100 },
      'None of 100 rows could be kept. See the list of lines and reasons.',
    ],
  ])('%s', (_, over, told) => expect(importMessage('terms', anEnd(over), '')).toBe(told));

  test('names as keys, missing units and remarks are added', () => {
    const told = importMessage('terms', anEnd({ byName: true, matched: {} }), 'Line 3 lacks its end.');
    expect(told).toContain('their names serve as keys');
    expect(told).toContain('no column for units');
    expect(told).toMatch(/Line 3 lacks its end\.$/);
  });

  test('missing columns are asked for by the names users know', () => {
    const told = importMessage(
      'terms',
      anEnd({ state: 'needs-mapping', unmatched: ['adGroup', 'sales'] }),
      '',
    );
    expect(told).toContain('No heading was recognised for: Ad group, Sales.');
    expect(told).toContain('Nothing was taken in yet');
  });
});

describe('why a file was refused', () => {
  test('is its own fault in its own words', () => {
    expect(refusedMessage(new MowingError('unreadable-file', 'The file is empty.'))).toBe(
      'The file is empty.',
    );
  });

  test.each([
    Object.assign(new Error('x'), { code: 'ECONNRESET' }),
    new Error('aborted'),
    new TypeError('terminated'),
  ])('or that of the line: %s', (error) => expect(refusedMessage(error)).toContain('The upload was cut off'));

  test('or ours, and then the file is not blamed', () => {
    expect(refusedMessage(new Error('deadlock detected'))).toContain('lies with Mowing, not with the file');
  });
});
