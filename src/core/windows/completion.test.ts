import { describe, expect, test } from 'vitest';
import { addDays } from '../units';
import { completionCurve, completionOf, unsettledDays, windowBefore } from '.';
import type { OrderSnapshot } from '.';

/** Days of 1,000 orders each, of which a share is visible at each age; of the last days only the young ages were seen. */
function snapshots(shares: number[], days = 40): OrderSnapshot[] {
  return Array.from({ length: days }, (_, at) => at).flatMap((at) =>
    shares
      .map((share, age) => ({ day: addDays('2026-10-01', at), age, orders: Math.round(1000 * share) }))
      .filter(({ age }) => at + age < days),
  );
}
const SLOW = [0.3, 0.45, 0.55, 0.62, 0.68, 0.74, 0.79, 0.84, 0.88, 0.91, 0.94, 0.96, 0.98, 0.99, 1];

describe('how late orders arrive', () => {
  test('is learnt from days seen at several ages', () => {
    const curve = completionCurve(snapshots(SLOW));
    SLOW.forEach((share, age) => expect(curve[age].share).toBeCloseTo(share, 2));
    expect(unsettledDays(curve)).toBe(11);
  });

  test('is the usual where nothing was seen, and a few orders hardly move it', () => {
    const usual = completionCurve([]);
    expect(usual[0].share).toBeCloseTo(0.62, 10);
    expect(unsettledDays(usual)).toBe(7);
    const few = completionCurve([
      { day: '2026-10-01', age: 0, orders: 0 },
      { day: '2026-10-01', age: 1, orders: 1 },
    ]);
    expect(few[0].share).toBeGreaterThan(0.55);
  });

  test('never falls with age, and is the less certain the less was seen', () => {
    const wide = completionCurve([]);
    const narrow = completionCurve(snapshots(SLOW));
    for (const curve of [wide, narrow])
      curve.slice(1).forEach(({ share }, at) => expect(share).toBeGreaterThanOrEqual(curve[at].share));
    expect(narrow[3].high - narrow[3].low).toBeLessThan((wide[3].high - wide[3].low) / 5);
    for (const { share, low, high } of narrow) expect(low <= share + 1e-9 && share <= high + 1e-9).toBe(true);
  });

  test('tells the share of a day that is in: yesterday is of age 0, today has none', () => {
    const curve = completionCurve(snapshots(SLOW));
    expect(completionOf(curve, '2026-11-22', '2026-11-23')).toBeCloseTo(0.3, 2);
    expect(completionOf(curve, '2026-11-01', '2026-11-23')).toBe(1);
    expect(completionOf(curve, '2026-11-23', '2026-11-23')).toBe(0);
  });
});

test('a window is compared with the days just before it, as many', () => {
  expect(windowBefore({ from: '2026-10-21', to: '2026-11-19' })).toEqual({
    from: '2026-09-21',
    to: '2026-10-20',
  });
});
