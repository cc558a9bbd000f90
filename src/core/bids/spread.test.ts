import { expect, test } from 'vitest';
import { spreadSums } from './spread';

test('what came summed is spread over its days, whole and exact, and the days beside it stay as they are', () => {
  const days = { targetId: [4, 4], age: [15, 3], clicks: [40, 7], orders: [3, 1] };
  const spread = spreadSums(days, ['clicks', 'orders'], [{ standsOn: 15, youngest: 5, oldest: 24 }]);
  const sum = (values: number[]) => values.reduce((all, one) => all + one, 0);
  expect(sum(spread.clicks)).toBe(47);
  expect(sum(spread.orders)).toBe(4);
  expect(spread.age).toEqual([...Array.from({ length: 20 }, (_, at) => 5 + at), 3]);
  expect(spread.clicks.slice(0, 20)).toEqual(new Array(20).fill(2));
  expect(spread.orders.every(Number.isInteger)).toBe(true);
  expect(new Set(spread.targetId)).toEqual(new Set([4]));
});
