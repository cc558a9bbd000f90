import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { addSums, businessMeasure, measure, MEASURES, NO_SUMS, ratio } from '.';
import type { BusinessMeasureKey, BusinessSums, MeasureKey, Sums } from '.';

const sums: Sums = {
  impressions: 4000,
  clicks: 50,
  spend: 24_000_000,
  orders: 5,
  units: 6,
  sales: 100_000_000,
};

describe('measures', () => {
  test.each<[MeasureKey, number]>([
    ['ctr', 0.0125],
    ['cpc', 480_000],
    ['cvr', 0.1],
    ['acos', 0.24],
    ['roas', 100 / 24],
    ['rpc', 2_000_000],
    ['costPerOrder', 4_800_000],
    ['orderValue', 20_000_000],
    ['spend', 24_000_000],
    ['units', 6],
  ])('%s is computed from its sums', (key, value) => expect(measure(key).of(sums)).toBeCloseTo(value, 9));

  test('a ratio without a denominator has no value, and never an infinite one', () => {
    for (const { key, of, unit } of MEASURES) {
      const value = of(NO_SUMS);
      if (unit === 'count' || ['spend', 'sales'].includes(key)) expect(value).toBe(0);
      else expect(value).toBeNull();
    }
    expect(ratio(3, 0)).toBeNull();
  });

  test('the ACOS of two rows together is not the mean of theirs', () => {
    const cheap = { ...NO_SUMS, spend: 1_000_000, sales: 10_000_000 };
    const dear = { ...NO_SUMS, spend: 90_000_000, sales: 100_000_000 };
    expect(measure('acos').of(addSums(cheap, dear))).toBeCloseTo(91 / 110, 12);
  });

  test('the ratio of a group lies between those of its rows', () => {
    const amount = fc.integer({ min: 1, max: 1_000_000 });
    fc.assert(
      fc.property(amount, amount, amount, amount, (spendA, salesA, spendB, salesB) => {
        const a = { ...NO_SUMS, spend: spendA, sales: salesA };
        const b = { ...NO_SUMS, spend: spendB, sales: salesB };
        const both = measure('acos').of(addSums(a, b))!;
        const ends = [spendA / salesA, spendB / salesB];
        expect(both).toBeGreaterThanOrEqual(Math.min(...ends) * (1 - 1e-12));
        expect(both).toBeLessThanOrEqual(Math.max(...ends) * (1 + 1e-12));
      }),
    );
  });

  test('each says what it means, and money is shown with two decimals', () => {
    for (const { definition, label, unit, decimals } of MEASURES) {
      expect(definition.length).toBeGreaterThan(8);
      expect(label).toMatch(/^[A-Z]/);
      if (unit === 'money') expect(decimals).toBe(2);
    }
  });
});

describe('measures of the whole business', () => {
  const all = {
    impressions: 0,
    clicks: 40,
    spend: 20_000_000,
    orders: 4,
    units: 4,
    sales: 80_000_000,
    totalSales: 200_000_000,
    margin: 0.4,
  };
  const of = (key: BusinessMeasureKey, over: { totalSales?: null; margin?: null } = {}) =>
    businessMeasure(key).of({ ...all, ...over } as BusinessSums);

  test('come from sums of ads and of everything', () => {
    expect([of('totalSales'), of('organicSales'), of('tacos')]).toEqual([200_000_000, 120_000_000, 0.1]);
    expect(of('profit')).toBe(12_000_000);
  });

  test('are unknown where total sales or costs are, and not zero', () => {
    for (const key of ['totalSales', 'organicSales', 'tacos'] as const)
      expect(of(key, { totalSales: null })).toBeNull();
    expect(of('profit', { margin: null })).toBeNull();
  });
});
