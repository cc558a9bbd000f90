import { describe, expect, test } from 'vitest';
import { addDays } from '../units';
import { daysOfPart, isGone, lifeOfPart, monthOfPart, partWarnings } from '.';

const LAST = '2026-11-10';
/** Ten a day over the last so many days, as micros. */
const tenADay = (days: number) =>
  new Map(Array.from({ length: days }, (_, back) => [addDays(LAST, -back), 10e6] as const));

describe('what a part of the account may spend', () => {
  test('a month is judged by the days that are gone, and told when it is gone before its end', () => {
    const even = monthOfPart(tenADay(90), LAST, 300e6);
    expect(even.pace).toBeCloseTo(1, 6);
    expect(even.forecast).toBeCloseTo(300e6, 0);
    expect(even.goneOn).toBeNull();
    const short = monthOfPart(tenADay(90), LAST, 150e6);
    expect(short.pace).toBeCloseTo(2, 6);
    // 100 are gone, 50 are left: five more days.
    expect(short.goneOn).toBe('2026-11-15');
    const gone = monthOfPart(tenADay(90), LAST, 90e6);
    expect([isGone(gone), isGone(short), gone.goneOn]).toEqual([true, false, null]);
  });

  test('a day is judged by the last week, days without spend among them', () => {
    expect(daysOfPart(tenADay(7), LAST, 10e6).pace).toBe(1);
    const half = daysOfPart(new Map([...tenADay(7)].filter((_, at) => at % 2 === 0)), LAST, 10e6);
    expect(half.done).toBeCloseTo((4 / 7) * 10e6, 0);
    expect(half.low!).toBeLessThan(half.done);
    expect(half.high!).toBeGreaterThan(half.done);
  });

  test('a life is judged by the share of its days that is gone; a week tells its rate, less does not', () => {
    const life = (beganOn: string, budget: number, days: number) =>
      lifeOfPart(tenADay(days), LAST, { budget, spent: days * 10e6, beganOn, endsOn: '2026-11-30' });
    const even = life('2026-11-01', 300e6, 10);
    expect([even.pace, even.forecast, even.goneOn]).toEqual([1, 300e6, null]);
    const early = life('2026-11-01', 200e6, 10);
    expect([early.pace, early.goneOn]).toEqual([1.5, '2026-11-20']);
    expect(life('2026-11-08', 200e6, 3).forecast).toBeNull();
  });

  test('scales with the money, and knows nothing of its unit', () => {
    const twice = new Map([...tenADay(60)].map(([day, amount]) => [day, amount * 2]));
    expect(monthOfPart(twice, LAST, 500e6).pace).toBeCloseTo(monthOfPart(tenADay(60), LAST, 250e6).pace!, 9);
  });

  test('warns of what spends above its plan, first of what is gone early; not of what keeps to it', () => {
    const parts = [
      { name: 'kept', ...monthOfPart(tenADay(90), LAST, 300e6) },
      { name: 'daily', ...daysOfPart(tenADay(7), LAST, 5e6) },
      { name: 'early', ...monthOfPart(tenADay(90), LAST, 150e6) },
      { name: 'gone', ...monthOfPart(tenADay(90), LAST, 90e6) },
    ];
    expect(partWarnings(parts, 'EUR').map(({ sentence, isUrgent }) => [isUrgent, sentence])).toEqual([
      [true, '“early” may spend 150.00 EUR this month, and that is gone about 15 Nov.'],
      [true, '“gone” may spend 90.00 EUR this month, and has spent 100.00.'],
      [false, '“daily” spends 10.00 EUR a day, and 5.00 is planned.'],
    ]);
  });
});
