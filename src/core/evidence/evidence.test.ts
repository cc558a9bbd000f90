import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { NO_SUMS } from '../measures';
import {
  chanceToReach,
  estimateConversion,
  estimateValuePerClick,
  gammaCdf,
  gammaQuantile,
  lnGamma,
  usualInAccount,
  usualInCampaign,
} from '.';

describe('the gamma distribution', () => {
  test('agrees with its closed forms', () => {
    expect(lnGamma(5)).toBeCloseTo(Math.log(24), 12);
    expect(lnGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 12);
    for (const x of [0.01, 0.5, 1, 3, 20]) {
      expect(gammaCdf(1, x)).toBeCloseTo(1 - Math.exp(-x), 12);
      expect(gammaCdf(2, x)).toBeCloseTo(1 - Math.exp(-x) * (1 + x), 12);
    }
  });

  test('the quantile undoes the distribution function', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: 0.4, max: 300, noNaN: true }),
        (p, shape) => {
          expect(gammaCdf(shape, gammaQuantile(p, shape))).toBeCloseTo(p, 7);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('the estimate of a conversion rate', () => {
  const prior = { mean: 0.08, strength: 2 };

  test('without clicks it is what is usual there', () => {
    expect(estimateConversion(0, 0, prior).mean).toBeCloseTo(0.08, 12);
  });

  test('with many clicks it is the row’s own rate', () => {
    const own = estimateConversion(100_000, 4_000, prior);
    expect(own.mean).toBeCloseTo(0.04, 3);
    expect(own.grade).toBe('strong');
  });

  test('12 clicks with 4 orders do not make it 33 %', () => {
    const { mean, grade } = estimateConversion(12, 4, prior);
    expect(mean).toBeCloseTo(6 / 37, 12); // (2 + 4) / (2 / 0.08 + 12)
    expect(grade).toBe('fair');
  });

  test('one more order never lowers it, one more click without an order never raises it', () => {
    fc.assert(
      fc.property(fc.nat(5000), fc.nat(400), (clicks, orders) => {
        const now = estimateConversion(clicks, orders, prior).mean;
        expect(estimateConversion(clicks, orders + 1, prior).mean).toBeGreaterThanOrEqual(now);
        expect(estimateConversion(clicks + 1, orders, prior).mean).toBeLessThanOrEqual(now);
      }),
    );
  });

  test('its interval holds its mean, and the chance to reach the ends is 90 % and 10 %', () => {
    const { low, mean, high } = estimateConversion(60, 5, prior);
    expect(low).toBeLessThan(mean);
    expect(high).toBeGreaterThan(mean);
    expect(chanceToReach(low, 60, 5, prior)).toBeCloseTo(0.9, 8);
    expect(chanceToReach(high, 60, 5, prior)).toBeCloseTo(0.1, 8);
  });
});

describe('what is usual', () => {
  const account = usualInAccount({ ...NO_SUMS, clicks: 10_000, orders: 1_000, sales: 20_000_000_000 });

  test('a campaign without clicks is judged by the account', () => {
    expect(usualInCampaign(NO_SUMS, account).conversion).toBeCloseTo(account.conversion, 12);
    expect(usualInCampaign(NO_SUMS, account).orderValue).toBeCloseTo(20_000_000, 6);
  });

  test('a large campaign is judged by itself', () => {
    const weak = usualInCampaign(
      { ...NO_SUMS, clicks: 50_000, orders: 1_000, sales: 30_000_000_000 },
      account,
    );
    expect(weak.clicksPerOrder).toBeGreaterThan(45);
    expect(weak.orderValue).toBeGreaterThan(29_000_000);
  });

  test('an account without a single sale has no order value, and so no revenue per click', () => {
    const blank = usualInAccount({ ...NO_SUMS, clicks: 50 });
    expect(blank.orderValue).toBeNull();
    expect(estimateValuePerClick({ ...NO_SUMS, clicks: 50 }, blank)).toBeNull();
  });

  test('twice the money gives twice the revenue per click', () => {
    const row = { ...NO_SUMS, clicks: 40, orders: 3, sales: 60_000_000 };
    const twice = usualInAccount({ ...NO_SUMS, clicks: 10_000, orders: 1_000, sales: 40_000_000_000 });
    const one = estimateValuePerClick(row, account)!;
    expect(estimateValuePerClick({ ...row, sales: 120_000_000 }, twice)!.mean).toBeCloseTo(2 * one.mean, 3);
  });
});
