import { describe, expect, test } from 'vitest';
import { findMovers } from '.';

describe('what explains a change', () => {
  test('are the few that moved most, up or down; the others are counted', () => {
    const now = [100, 50, 10, 7, 5];
    const before = [20, 120, 10, 5, 4];
    const { movers, explained, others } = findMovers([0, 1, 2, 3, 4], now, before);
    expect(movers.map(({ row, move }) => [row, move])).toEqual([
      [0, 80],
      [1, -70],
    ]);
    expect(explained).toBeCloseTo(150 / 153, 12);
    expect(others).toBe(2);
  });

  test('is nothing when nothing moved', () =>
    expect(findMovers([0], [5], [5])).toEqual({ movers: [], explained: null, others: 0 }));
});
