import { describe, expect, test } from 'vitest';
import { layOutRateCurve } from './layout';

const points = (path: string) =>
  path
    .slice(1, -1)
    .split('L')
    .map((pair) => pair.split(',').map(Number));
/** Where a curve is highest. */
const peak = (path: string) => points(path).reduce((best, point) => (point[1] < best[1] ? point : best))[0];

describe('the curve of a conversion rate', () => {
  const prior = { shape: 2, rate: 2 / 0.1 };

  test('moves left after clicks without orders, right after orders, and never past its frame', () => {
    const after = (clicks: number, orders: number) =>
      layOutRateCurve(prior, { shape: 2 + orders, rate: prior.rate + clicks }, 0.1, 300, 60);
    const bad = after(60, 0);
    const good = after(20, 6);
    expect(peak(bad.posterior)).toBeLessThan(peak(bad.prior));
    expect(peak(good.posterior)).toBeGreaterThan(peak(good.prior));
    for (const [x, y] of points(good.posterior)) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(300);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(60);
    }
  });

  test('without clicks lies on the prior', () => {
    const { prior: before, posterior } = layOutRateCurve(prior, prior, null, 300, 60);
    expect(posterior).toBe(before);
  });

  test('marks the needed rate where it is known and in sight', () => {
    expect(layOutRateCurve(prior, prior, 0.1, 300, 60).neededX).toBeGreaterThan(0);
    expect(layOutRateCurve(prior, prior, null, 300, 60).neededX).toBeNull();
    expect(layOutRateCurve(prior, prior, 5, 300, 60).neededX).toBeNull();
  });
});
