import { describe, expect, test } from 'vitest';
import { aTree, aTreeTarget, sumsByTarget } from '../../../tests/make/lenses';
import { indexTree } from '../structure';
import { buildLens, lensReader, NO_GUIDES, showingAt } from '.';
import type { Guides } from '.';

const DAYS = 30;

describe('how often a row is shown and clicked', () => {
  /** Exact keywords with their impressions and clicks in thirty days. */
  const shown = (...rows: [impressions: number, clicks: number][]) => shownBeside(NO_GUIDES, ...rows);
  const shownBeside = (guides: Guides, ...rows: [impressions: number, clicks: number][]) => {
    const targets = rows.map((_, at) => aTreeTarget({ id: 2000 + at, expression: `crock ${at}` }));
    const sums = sumsByTarget(
      rows.map(([impressions, clicks], at) => ({ id: 2000 + at, now: { impressions, clicks } })),
    );
    const table = buildLens('keywords', indexTree(aTree({ targets })), sums);
    return rows.map((_, at) => showingAt(table, at, DAYS, guides));
  };

  test('is low, usual or high against its own kind in this account', () => {
    // 1,500 clicks of 150,000 impressions: 1 %.
    const [low, usual, high, rare] = shown([60_000, 300], [60_000, 600], [29_400, 597], [600, 3]);
    expect([low, usual, high].map(({ ctr }) => ctr.level)).toEqual(['low', 'usual', 'high']);
    expect(usual.ctr.usual).toBeCloseTo(0.01, 12);
    // Six clicks would be expected: too few to say that three are low.
    expect(rare.ctr.level).toBeNull();
    expect(rare.daily).toMatchObject({ value: 20, level: 'low' });
    expect(low.isPassedOver).toBe(true);
    expect(rare.isPassedOver).toBe(false);
  });

  test('is held against values of one’s own where they are set, each by itself', () => {
    const guides = { ...NO_GUIDES, ctrLow: 0.002, dailyHigh: 1_500 };
    const [one, two] = shownBeside(guides, [60_000, 150], [60_000, 90], [29_400, 597]);
    expect([one, two].map(({ ctr }) => ctr.level)).toEqual(['usual', 'low']);
    expect(one.daily.level).toBe('high');
    // Two rows of a kind have nothing usual; a bound of one's own says it all the same.
    expect(shownBeside(guides, [60_000, 100], [60_000, 900])[0].ctr.level).toBe('low');
  });

  test('is not told where too few rows of a kind were shown to have something usual', () => {
    const [one] = shown([60_000, 100], [60_000, 900]);
    expect(one).toMatchObject({ ctr: { usual: null, level: null }, isPassedOver: false });
  });
});

describe('a product', () => {
  const sold = (totals: Map<number, number> | undefined) => {
    const sums = sumsByTarget([{ id: 1001, now: { spend: 30, sales: 120 } }]);
    const table = buildLens('products', indexTree(aTree()), { ...sums, totalSales: totals });
    const row = table.productId.indexOf(101);
    const reader = lensReader(table);
    return (['totalSales', 'organicSales', 'tacos', 'profit'] as const).map((key) => reader.number(key)(row));
  };

  test('has all its sales, those without ads, and TACOS where every day is known', () => {
    const [total, organic, tacos] = sold(new Map([[101, 300e6]]));
    expect([total, organic, tacos]).toEqual([300e6, 180e6, 0.1]);
    expect(sold(undefined).slice(0, 3)).toEqual([null, null, null]);
  });

  test('never has organic sales below nothing: ads may be credited with more than it sold', () => {
    const [total, organic, tacos] = sold(new Map([[101, 100e6]]));
    expect([total, organic, tacos]).toEqual([100e6, null, 0.3]);
  });

  test('has a profit where its costs are known', () => {
    const margin = aTree().products.find(({ id }) => id === 101)!.margin;
    expect(sold(undefined)[3]).toBe(margin === null ? null : margin * 120e6 - 30e6);
  });
});
