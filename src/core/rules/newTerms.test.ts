import { expect, test } from 'vitest';
import { newTermReason, pickTerms, swathHolds, testOfTerm } from '.';

const found = (text: string, sales: number | null, weeklySearches: number | null = null) => ({
  text,
  sold: sales === null ? null : { orders: 1, sales },
  weeklySearches,
});

test('a test of a new term is priced by the clicks that prove it, each at its whole bid', () => {
  expect(testOfTerm(500_000, 2, 0.08)).toEqual({ bid: 500_000, clicks: 25, cost: 12_500_000 });
  expect(testOfTerm(500_000, 2, null)).toBeNull();
  expect(testOfTerm(500_000, 2, 0)).toBeNull();
});

test('what sold is tried before what is only searched for, no more than asked and than the allowance takes', () => {
  const list = [found('lid', null, 900), found('crock', 5), found('jar', 9), found('pot', null, 2000)];
  const texts = (most: number, takes: () => boolean) =>
    pickTerms(list, most, takes).flatMap(({ term, hasRoom }) => (hasRoom ? [term.text] : []));
  expect(texts(9, () => true)).toEqual(['jar', 'crock', 'pot', 'lid']);
  expect(texts(3, () => true)).toEqual(['jar', 'crock', 'pot']);
  let left = 2;
  expect(texts(9, () => left-- > 0)).toEqual(['jar', 'crock']);
});

test('a new term says why it is tried and what that costs at most', () => {
  const test = testOfTerm(500_000, 2, 0.08)!;
  expect(newTermReason(found('lid', null, 900), test)).toBe(
    'The market suggests it: 900 searches a week. To prove itself it takes 25 clicks, up to 12.50 at a bid of 0.50.',
  );
  expect(newTermReason(found('jar', 40_000_000), test)).toMatch(
    /^It sold in other campaigns of the product: 1 order, 40\.00\./,
  );
});

test.each([
  ['targets', 'bids', true],
  ['targets', 'budgets', false],
  ['terms', 'harvest', true],
  ['terms', 'bids', false],
  ['campaigns', 'hours', true],
  ['campaigns', 'negatives', true],
  ['products', 'new terms', true],
  ['placements', 'placements', false],
  ['campaigns', 'growth', false],
] as const)('a swath of %s for %s: %s', (lens, work, holds) => {
  expect(swathHolds(lens, work)).toBe(holds);
});
