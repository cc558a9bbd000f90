import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { aTermTable } from '../../../tests/make/terms';
import { MEASURES } from '../measures';
import { termReader } from '../terms';
import { arrangeRows, readAnyOf, readCondition, writeAnyOf, writeCondition } from '.';
import type { Condition, SortOrder } from '.';

const table = aTermTable([
  { term: 'no clicks', clicks: 0, spend: 0 },
  { term: 'dear', clicks: 20, orders: 1, spend: 10, sales: 20 },
  { term: 'cheap', clicks: 10, orders: 2, spend: 4.8, sales: 20 },
  { term: 'unsold', clicks: 30, spend: 9 },
]);
const texts = {
  term: (row: number) => table.term[row],
  place: () => 'glass weights auto',
  termKind: (row: number) => (table.term[row] === 'dear' ? 'rival brand' : 'words'),
  seen: () => 'before',
};
const all = Int32Array.from([0, 1, 2, 3]);
const arrange = (conditions: Condition[], ...sorts: SortOrder[]) =>
  [
    ...arrangeRows(
      termReader(table, texts),
      all,
      conditions.map((one) => [one]),
      sorts,
    ),
  ].map((row) => table.term[row]);

describe('stacked conditions', () => {
  test('all have to hold', () => {
    expect(arrange([readCondition('clicks>=10')!, readCondition('acos<=24')!])).toEqual(['cheap']);
  });

  test('a limit of 24 % takes in a row at exactly 24 %', () => {
    expect(arrange([readCondition('acos<=24')!])).toContain('cheap');
    expect(arrange([readCondition('acos>=24')!])).toContain('cheap');
  });

  test('a ratio without a denominator meets no condition, neither above nor below', () => {
    expect(arrange([readCondition('acos<=1000000')!])).not.toContain('unsold');
    expect(arrange([readCondition('cpc>=0')!])).not.toContain('no clicks');
  });

  test('equal is what is shown as equal, between holds both ends, and what has no value can be asked for', () => {
    expect(arrange([readCondition('acos=24')!])).toEqual(['cheap']);
    expect(arrange([readCondition('acos=24.1')!])).toEqual([]);
    expect(arrange([readCondition('clicks=10..20')!])).toEqual(['dear', 'cheap']);
    expect(arrange([readCondition('clicks=20 to 10')!])).toEqual(['dear', 'cheap']);
    expect(arrange([readCondition('acos=none')!])).toEqual(['no clicks', 'unsold']);
  });

  test('of a group one is enough', () => {
    const group = readAnyOf('orders>=2|term~unsold')!;
    const rows = arrangeRows(termReader(table, texts), all, [group, [readCondition('clicks>=1')!]], []);
    expect([...rows].map((row) => table.term[row])).toEqual(['cheap', 'unsold']);
  });

  test('texts hold or lack a part', () => {
    expect(arrange([readCondition('term~ear')!])).toEqual(['dear']);
    expect(arrange([readCondition('place!~glass')!])).toEqual([]);
  });
});

test('search terms are parted by what sort they are, and by when they were first seen', () => {
  expect(arrange([readCondition('termKind=rival brand')!])).toEqual(['dear']);
  expect(arrange([readCondition('seen=in this window')!])).toEqual([]);
});

describe('sorting', () => {
  test('puts rows without a value last, upward and downward', () => {
    expect(arrange([], { by: 'acos', descending: false })).toEqual(['cheap', 'dear', 'no clicks', 'unsold']);
    expect(arrange([], { by: 'acos', descending: true })).toEqual(['dear', 'cheap', 'no clicks', 'unsold']);
  });

  test('goes by the second order where the first one says nothing', () => {
    expect(arrange([], { by: 'orders', descending: true }, { by: 'clicks', descending: true })).toEqual([
      'cheap',
      'dear',
      'unsold',
      'no clicks',
    ]);
  });

  test('goes by text too', () => {
    expect(arrange([], { by: 'term', descending: true })).toEqual(['unsold', 'no clicks', 'dear', 'cheap']);
  });
});

describe('a condition in a link', () => {
  test.each([
    'kind=exact',
    'standing!=early',
    'd.spend>=12.5',
    'vsTarget>=1.5',
    'clicks=3',
    'acos=10..24.5',
    'bid=none',
    'product~crock',
    'orders>=1|term~a%7Cb|kind=broad',
  ])('%s comes back as it was', (text) => expect(writeAnyOf(readAnyOf(text)!)).toBe(text));

  test('comes back as it was, for every measure', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MEASURES.map(({ key }) => key)),
        fc.constantFrom('>=', '<='),
        fc.nat(100_000),
        (field, op, value) => {
          const text = `${field}${op}${value / 100}`;
          expect(writeCondition(readCondition(text)!)).toBe(text);
        },
      ),
    );
  });

  test.each([
    'clicks>=ten',
    'nothing>=1',
    'term>=5',
    'clicks',
    '',
    'kind>=2',
    'clicks=3..',
    'clicks=',
    'clicks>=none',
  ])('"%s" is not understood', (text) => expect(readCondition(text)).toBeNull());
});
