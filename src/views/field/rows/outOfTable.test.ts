import { describe, expect, test } from 'vitest';
import { aTree, sumsByTarget } from '../../../../tests/make/lenses';
import { buildLens, lensReader } from '../../../core/lenses';
import { indexTree } from '../../../core/structure';
import { asTabText, outOfTable } from './outOfTable';

const table = buildLens(
  'auto',
  indexTree(aTree()),
  sumsByTarget([{ id: 1001, now: { impressions: 9, clicks: 8, spend: 2.5, orders: 1, sales: 20 } }]),
);
const column = (key: string, label: string) => ({ key, label, width: 50, cell: () => null });
const columns = [
  column('standing', ''),
  column('name', 'Auto target'),
  column('trend', 'Trend'),
  column('bid', 'Bid'),
  column('spend', 'Spend'),
  column('acos', 'ACOS'),
];

describe('rows that leave the page', () => {
  const out = outOfTable(table, lensReader(table), columns, [0, 2], 'EUR');

  test('name their units, and leave out what is only a picture', () =>
    expect(out.headings).toEqual(['Standing', 'Auto target', 'Bid EUR', 'Spend EUR', 'ACOS']));

  test('are numbers: money in units of the currency, shares as fractions, nothing where there is no value', () => {
    expect(out.rows[0].slice(1)).toEqual(['near searches', 0.4, 2.5, 0.125]);
    expect(out.rows[1].slice(1)).toEqual(['near searches', 0.5, 0, null]);
  });

  test('go to the clipboard a cell a column, whatever is in a name', () => {
    expect(
      asTabText({
        headings: ['A', 'B'],
        rows: [
          ['tab\there', null],
          [1.5, 'line\nbreak'],
        ],
      }),
    ).toBe('A\tB\ntab here\t\n1.5\tline break');
  });
});
