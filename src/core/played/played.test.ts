import { expect, test } from 'vitest';
import { spreadOf, tellPlayed } from '.';

const week = (spend: number, sales: number) => ({ spend, sales });

test('a play tells by week and in all what it makes of sales and of what is left, market by market', () => {
  const told = tellPlayed(
    {
      with: [
        [week(10, 80), week(10, 100)],
        [week(20, 60), week(20, 60)],
      ],
      without: [
        [week(10, 60), week(10, 60)],
        [week(10, 60), week(10, 60)],
      ],
    },
    0.5,
    { clicksPerDay: 30, conversion: 0.1 },
  );
  expect(told.all.with).toMatchObject({ spend: { mean: 30 }, sales: { mean: 150 }, acos: 60 / 300 });
  expect(told.byWeek[1].with.sales.mean).toBe(80);
  // The first market gains 60 in sales and 30 of profit; the second pays 20 for nothing.
  expect(told.gained.sales.mean).toBe(30);
  expect(told.gained.profit!.mean).toBe(5);
  expect(told).toMatchObject({ markets: 2, weeks: 2, better: 1 });
});

test('without a margin nothing is said of profit, and what is better is told by sales', () => {
  const told = tellPlayed({ with: [[week(50, 90)]], without: [[week(10, 80)]] }, null, {
    clicksPerDay: 1,
    conversion: 0.1,
  });
  expect([told.all.with.profit, told.gained.profit, told.better]).toEqual([null, null, 1]);
});

test('eight of ten lie between the bounds of a spread', () => {
  expect(spreadOf([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11])).toEqual({ mean: 6, low: 2, high: 10 });
});
