import { describe, expect, test } from 'vitest';
import { goalFinder } from '.';
import type { Goal, GoalPlace } from '.';

const place: GoalPlace = { lineId: 1, productId: 2, campaignId: 3, adGroupId: 4 };
const acos = (scope: Goal['scope'], scopeId: number, value: number): Goal => ({
  scope,
  scopeId,
  kind: 'acos',
  low: value,
  high: value,
});
const all = [
  acos('line', 1, 0.1),
  acos('product', 2, 0.2),
  acos('campaign', 3, 0.3),
  acos('ad-group', 4, 0.4),
];

describe('the target that counts', () => {
  test('is the nearest one: ad group, campaign, product, line, account', () => {
    const found = [4, 3, 2, 1, 0].map((count) => goalFinder(all.slice(0, count), 0.24)(place, null).acos);
    expect(found).toEqual([0.4, 0.3, 0.2, 0.1, 0.24]);
  });

  test('of another campaign does not count', () => {
    expect(goalFinder([acos('campaign', 99, 0.5)], 0.24)(place, null)).toMatchObject({
      acos: 0.24,
      goal: { scope: 'account' },
    });
  });

  test('as a profit margin is what the product’s margin leaves for ads', () => {
    const goal: Goal = { scope: 'product', scopeId: 2, kind: 'margin', low: 0.1, high: 0.2 };
    const found = goalFinder([goal], 0.24)(place, 0.42);
    expect([found.acos, found.low, found.high].map((value) => Number(value!.toFixed(6)))).toEqual([
      0.27, 0.22, 0.32,
    ]);
  });

  test('as a profit margin is not known while the product’s costs are not', () => {
    expect(goalFinder([{ ...acos('account', 0, 0.1), kind: 'margin' }], 0.24)(place, null).acos).toBeNull();
  });
});
