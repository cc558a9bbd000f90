import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lastUnder } from './lastUnder';

/** What is grown, and how often it was looked at. */
const watched = (of: (x: number) => number) => {
  let looks = 0;
  return { of: (x: number) => ((looks += 1), of(x)), looks: () => looks };
};
const place = fc.double({ min: 0.06, max: 4, noNaN: true });

describe('the last place that is not passed', () => {
  test('is found within a millionth and never beyond it, in no more looks than halvings and a few, however it is bent', () => {
    const bent = (at: number, kink: number, slope: number) => (x: number) => {
      const far = Math.log(x / at);
      if (x < 0.02) return -Infinity;
      return far < 0 ? far * slope : far < kink ? far * 0.01 : far * 3 - kink * 2.99;
    };
    const [wide, slopes] = [
      { min: 0, max: 2, noNaN: true },
      { min: 0.05, max: 5, noNaN: true },
    ];
    fc.assert(
      fc.property(place, fc.double(wide), fc.double(slopes), (at, kink, slope) => {
        const { of, looks } = watched(bent(at, kink, slope));
        const found = lastUnder(0.01, 8, of);
        expect(found / at).toBeGreaterThan(1 - 1e-6);
        expect(bent(at, kink, slope)(found)).toBeLessThanOrEqual(0);
        expect(looks()).toBeLessThanOrEqual(30);
      }),
    );
  });

  test('takes half as many where spend grows as spend does', () => {
    fc.assert(
      fc.property(place, fc.double({ min: 0.1, max: 3, noNaN: true }), (at, cap) => {
        // Targets that follow the multiplier, and some that stop at a bound of it.
        const spend = (x: number) => 2 * x ** 1.8 + Math.min(x, cap) ** 1.8;
        const sales = (x: number) => 2 * x + Math.min(x, cap);
        const { of, looks } = watched((x) => Math.log(spend(x) / sales(x) / (spend(at) / sales(at))));
        expect(lastUnder(0.01, 8, of) / at).toBeCloseTo(1, 6);
        expect(looks()).toBeLessThan(14);
      }),
    );
  });

  test('is the end of the range where it is passed nowhere, and its beginning where it is passed at once', () => {
    for (const [least, end] of [
      [-1, 2],
      [-Infinity, 2],
      [1, 0.1],
      [Infinity, 0.1],
    ])
      expect(lastUnder(0.1, 2, () => least)).toBe(end);
  });
});
