import { describe, expect, test } from 'vitest';
import { addDays } from '../units';
import { lastDayOfMonth, monthPace } from '.';

/** Days that sell 100, and on Saturdays and Sundays 30. */
function sales(from: string, count: number): Map<string, number> {
  return new Map(
    Array.from({ length: count }, (_, at) => {
      const day = addDays(from, at);
      const weekday = new Date(`${day}T00:00:00Z`).getUTCDay();
      return [day, weekday === 0 || weekday === 6 ? 30 : 100] as const;
    }),
  );
}

describe('the pace of a month', () => {
  test('that began with a weekend is not behind for it', () => {
    // 1 November 2026 is a Sunday; eight weeks before tell how little weekends sell.
    const pace = monthPace(sales('2026-09-06', 57), '2026-11-01', 2_400);
    expect(pace.done).toBe(30);
    expect(pace.pace).toBeGreaterThan(0.7); // by plain days it would be 30 / (2400 / 30) = 0.375
    expect(pace.forecast! / 30).toBeGreaterThan(55); // by plain days it would be 30 x
  });

  test('is exactly one where all days are alike and the goal is met day by day', () => {
    const even = new Map(Array.from({ length: 10 }, (_, at) => [addDays('2026-11-01', at), 50] as const));
    const pace = monthPace(even, '2026-11-10', 1_500);
    expect(pace).toMatchObject({ daysGone: 10, days: 30, done: 500, forecast: 1_500, pace: 1 });
  });

  test('comes to its forecast for sure where all days are alike, and is the less sure the more they vary', () => {
    const at = (of: (back: number) => number) =>
      monthPace(
        new Map(Array.from({ length: 60 }, (_, back) => [addDays('2026-11-20', -back), of(back)] as const)),
        '2026-11-20',
        null,
      );
    const even = at(() => 100);
    expect([even.low, even.high]).toEqual([even.forecast, even.forecast]);
    const [little, much] = [at((back) => 100 + (back % 3) * 5), at((back) => 100 + (back % 3) * 60)];
    for (const { low, high, forecast, done } of [little, much]) {
      expect(low! < forecast! && forecast! < high!).toBe(true);
      expect(low!).toBeGreaterThanOrEqual(done);
    }
    expect(much.high! - much.low!).toBeGreaterThan(5 * (little.high! - little.low!));
  });

  test('has no value without a goal', () => {
    expect(monthPace(new Map(), '2026-11-10', null)).toMatchObject({ pace: null, done: 0, forecast: 0 });
  });

  test.each([
    ['2026-02-10', '2026-02-28'],
    ['2028-02-10', '2028-02-29'],
    ['2026-12-31', '2026-12-31'],
  ])('the month of %s ends on %s', (day, end) => expect(lastDayOfMonth(day)).toBe(end));
});
