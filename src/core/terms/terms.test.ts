import { describe, expect, test } from 'vitest';
import { aStructure, aTermTable, EXACT } from '../../../tests/make/terms';
import { normalisedTerms, sumsByCampaign, sumsOfRow, sumsOfRows, termContext } from '.';

const table = aTermTable([
  { term: 'Glass Weights', clicks: 100, orders: 10, spend: 50, sales: 200 },
  { term: 'glass weights', adGroupId: EXACT, clicks: 40, orders: 8, spend: 30, sales: 160 },
  { term: 'paperweight', clicks: 60, orders: 0, spend: 20 },
]);

describe('a table of search terms', () => {
  test('sums rows, chosen rows and campaigns without loss', () => {
    expect(sumsOfRow(table, 1)).toMatchObject({
      clicks: 40,
      orders: 8,
      spend: 30_000_000,
      sales: 160_000_000,
    });
    expect(sumsOfRows(table)).toMatchObject({ clicks: 200, orders: 18, spend: 100_000_000 });
    expect(sumsOfRows(table, [0, 2])).toMatchObject({ clicks: 160, spend: 70_000_000 });
    expect(sumsOfRows(table, [])).toMatchObject({ clicks: 0, impressions: 0 });
    expect(sumsByCampaign(table).get(1)).toMatchObject({ clicks: 160, orders: 10 });
    expect(sumsByCampaign(table).get(2)).toMatchObject({ clicks: 40, orders: 8 });
  });

  test('knows which rows are the same term', () => {
    expect(normalisedTerms(table)).toEqual(['glass weights', 'glass weights', 'paperweight']);
  });
});

describe('what is usual for a row', () => {
  const context = termContext(table, aStructure());

  test('is its campaign’s, not the account’s: the exact campaign converts better', () => {
    expect(context.usual(1).conversion).toBeGreaterThan(context.usual(0).conversion);
    expect(context.usual(0)).toBe(context.usual(2));
  });

  test('pulls the estimate of a row without orders up, and that of a lucky row down', () => {
    expect(context.value(2)!.conversion).toBeGreaterThan(0);
    expect(context.value(1)!.conversion).toBeLessThan(8 / 40);
  });

  test('gives no revenue per click in an account that never sold', () => {
    const unsold = termContext(aTermTable([{ term: 'new', clicks: 5 }]), aStructure());
    expect(unsold.value(0)).toBeNull();
  });

  test('of an empty window is computed without a fault', () => {
    expect(termContext(aTermTable([]), aStructure()).normalised).toEqual([]);
  });
});
