import { describe, expect, test } from 'vitest';
import { aTree, sumsByTarget } from '../../../tests/make/lenses';
import { indexTree } from '../structure';
import { buildLens, conversionAt, lensReader } from '.';

const index = indexTree(aTree());

describe('a window that the data do not cover', () => {
  const sums = sumsByTarget([{ id: 1001, now: { spend: 30, sales: 120 }, before: { spend: 4, sales: 10 } }]);

  test('is compared with nothing: no move, and no condition on one is met', () => {
    const of = (isBeforeCovered: boolean) =>
      lensReader(buildLens('auto', index, { ...sums, isBeforeCovered })).number('d.spend')(0);
    expect(of(true)).toBe(26e6);
    expect(of(false)).toBeNull();
  });
});

test('the conversion that a row needs is its cost per click over target and order value', () => {
  // 60 clicks for 24: 0.40 a click; of 9 orders for 270 an order is taken to bring 30.
  const rows = [
    { id: 1001, now: { clicks: 60, spend: 24, orders: 9, sales: 270 } },
    { id: 1002, now: { clicks: 60, spend: 24 } },
  ];
  const table = buildLens('auto', index, sumsByTarget(rows));
  expect(conversionAt(table, 0).needed).toBeCloseTo(0.4 / (0.25 * 30), 12);
  // Without orders of its own too: never over the shrunk sales per click, which would ask for several times as much.
  expect(conversionAt(table, 1).needed).toBeCloseTo(0.4 / (0.25 * 30), 12);
});
