import { describe, expect, test } from 'vitest';
import { changeKey, checkChange, inverseOf, NOTHING_MADE, USUAL_LIMITS, usualLimits } from '.';
import type { Change } from '.';

const keyword = (over: Partial<Extract<Change, { kind: 'add-keyword' }>> = {}): Change => ({
  kind: 'add-keyword',
  adGroupId: 12,
  expression: 'glass weights',
  match: 'exact',
  bid: 400_000,
  ...over,
});
const codes = (change: Change) => checkChange(change, USUAL_LIMITS).map(({ code }) => code);

describe('what the market is going to refuse is told before sending', () => {
  test.each<[string, Change, string[]]>([
    ['nothing', keyword(), []],
    ['81 characters', keyword({ expression: 'a'.repeat(81) }), ['too-long']],
    ['80 characters are fine', keyword({ expression: 'a'.repeat(80) }), []],
    ['eleven words', keyword({ expression: 'a b c d e f g h i j k' }), ['too-many-words']],
    ['a refused character', keyword({ expression: 'salt 100%' }), ['refused-character']],
    ['signs only', keyword({ expression: '---' }), ['empty']],
    ['a bid of one cent', keyword({ bid: 10_000 }), ['bid-below-minimum']],
    ['a bid beyond all bounds', keyword({ bid: 2e9 }), ['bid-above-maximum']],
    [
      'an item code is not held against the rules for words',
      { kind: 'add-item-target', adGroupId: 1, expression: 'QY7K3M92TD', bid: 400_000 },
      [],
    ],
  ])('%s', (_, change, expected) => expect(codes(change)).toEqual(expected));
});

test.each([
  ['JPY', [2, 1, 100, 100_000]],
  ['EUR', [0.02, 0.01, 1, 1000]],
  ['KWD', [0.002, 0.001, 0.1, 100]],
])('without a market, bids in %s stand on its smallest unit', (currency, limits) => {
  const { minBid, bidStep, minBudget, maxBid } = usualLimits(currency);
  expect([minBid, bidStep, minBudget, maxBid].map((micros) => micros / 1e6)).toEqual(limits);
});

describe('the same change', () => {
  test('has the same key however the term is spelt', () => {
    expect(changeKey(keyword({ expression: 'Glass-Weights', bid: 1 }))).toBe(changeKey(keyword()));
  });

  test('in another place or match type has another key', () => {
    const keys = [keyword(), keyword({ adGroupId: 13 }), keyword({ match: 'phrase' })].map(changeKey);
    expect(new Set(keys).size).toBe(3);
  });
});

test('undoing ends what was made, and cannot be undone itself', () => {
  const undo = inverseOf(keyword(), { ...NOTHING_MADE, targetId: 77 })!;
  expect(undo).toEqual({ kind: 'archive-target', targetId: 77 });
  expect(inverseOf(undo, NOTHING_MADE)).toBeNull();
});
