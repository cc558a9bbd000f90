import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { businessMeasure, NO_SUMS } from '../measures';
import { breakEven, marginOf, missingCosts } from '.';
import type { ProductCosts } from '.';

const crock: ProductCosts = {
  price: 69_000_000,
  goods: 21_000_000,
  fees: 10_350_000,
  shipping: 6_900_000,
  refundRate: 0.04,
  recovered: 19_000_000,
};

describe('what a product leaves before ads', () => {
  test('is the price less goods, fees, shipping and refunds', () => {
    // 69 - 21 - 10.35 - 6.90 - 4 % of (69 - 19) = 28.75
    expect(marginOf(crock)).toEqual({ perUnit: 28_750_000, share: 28.75 / 69 });
  });

  test.each(['price', 'goods', 'fees', 'shipping'] as const)(
    'is not known without %s, and not zero',
    (part) => {
      expect(marginOf({ ...crock, [part]: null })).toBeNull();
      expect(missingCosts({ ...crock, [part]: null })).toEqual([part]);
    },
  );

  test('counts unknown refunds as none', () => {
    expect(marginOf({ ...crock, refundRate: null, recovered: null })!.perUnit).toBe(30_750_000);
  });

  test('may be a loss', () => {
    expect(marginOf({ ...crock, goods: 60_000_000 })!.share).toBeLessThan(0);
  });
});

describe('break-even', () => {
  const margin = marginOf(crock)!;

  test('ACOS is the margin; CPC and cost per order follow from what clicks bring', () => {
    expect(breakEven(margin, 0.05, 72_000_000)).toEqual({
      acos: margin.share,
      costPerOrder: 30_000_000,
      cpc: 1_500_000,
    });
  });

  test('has no CPC without clicks, and no cost per order without orders', () => {
    expect(breakEven(margin, null, null)).toEqual({ acos: margin.share, costPerOrder: null, cpc: null });
  });

  test('at the break-even ACOS ads earn nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (units) => {
        const sales = units * 1_000_000;
        const sums = {
          ...NO_SUMS,
          sales,
          spend: Math.round(sales * margin.share),
          totalSales: null,
          margin: margin.share,
        };
        expect(Math.abs(businessMeasure('profit').of(sums)!)).toBeLessThanOrEqual(1);
      }),
    );
  });
});
