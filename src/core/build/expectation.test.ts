import { describe, expect, test } from 'vitest';
import { expectOf } from '.';
import type { LikeTarget } from '.';

describe('what a campaign is expected to do', () => {
  const like = (clicks: number, productId = 1): LikeTarget => ({
    part: 'exact',
    productId,
    lineId: 3,
    clicks,
    orders: clicks / 10,
    spend: clicks * 400_000,
    sales: clicks * 2_000_000,
  });
  const asked = {
    part: 'exact',
    productId: 1,
    lineId: 3,
    count: 10,
    budget: 100_000_000,
    budgetKind: 'daily',
  } as const;

  test('is what like targets did, with an interval', () => {
    const likes = Array.from({ length: 20 }, (_, at) => like(at % 2 === 0 ? 10 : 30));
    const { clicks, spend, sales, acos, from } = expectOf(likes, asked)!;
    expect([from, clicks.mean, spend.mean, acos]).toEqual(['product', 200, 80_000_000, 0.2]);
    expect(clicks.low).toBeGreaterThan(100);
    expect(clicks.high).toBeLessThan(300);
    expect(sales.low).toBeLessThan(clicks.low * 2_000_000);
  });

  test('no more than the budget pays', () => {
    const likes = Array.from({ length: 20 }, () => like(100));
    expect(expectOf(likes, { ...asked, budget: 1_000_000 })!.spend.mean).toBeCloseTo(30.4 * 1_000_000);
    // One for the campaign's whole life pays once, not each day.
    const life = { ...asked, budget: 1_000_000, budgetKind: 'lifetime' } as const;
    expect(expectOf(likes, life)!.spend.mean).toBeCloseTo(1_000_000);
  });

  test('a product without figures is judged by its line, and it is too early to say where that has few', () => {
    const likes = Array.from({ length: 20 }, () => like(20, 2));
    expect(expectOf(likes, asked)!.from).toBe('line');
    expect(expectOf(likes.slice(0, 5), asked)).toBeNull();
  });
});
