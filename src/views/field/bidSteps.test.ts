import { describe, expect, test } from 'vitest';
import { USUAL_LIMITS } from '../../core/changes';
import { bidSteps, movedBid } from './bidSteps';
import { arrangeTargets, totalOf } from './targetRows';
import type { TargetRow } from './targetRows';

const aRow = (over: Partial<TargetRow> & { spend?: number; sales?: number } = {}): TargetRow => ({
  id: 1,
  expression: 'glass weights',
  kind: 'exact',
  campaign: 'Weights – exact',
  adGroup: 'exact',
  state: 'enabled',
  bid: 400_000,
  sums: {
    impressions: 100,
    clicks: 10,
    spend: over.spend ?? 4_000_000,
    orders: 1,
    units: 1,
    sales: over.sales ?? 20_000_000,
  },
  spendBefore: 5_000_000,
  text: 'glass weights weights exact exact',
  ...over,
});

describe('a bid moved by hand', () => {
  test.each([
    [400_000, -0.15, 340_000],
    [400_000, 0.15, 460_000],
    [430_000, -0.05, 400_000],
    [50_000, 0.01, 60_000],
    [20_000, -0.5, 20_000],
    [999_990_000, 0.5, 1_000_000_000],
  ])('%i by %f is %i: on a step, at least one, within limits', (bid, by, expected) =>
    expect(movedBid(bid, by, USUAL_LIMITS)).toBe(expected),
  );

  test('is told with how many ended at a limit and how many stay', () => {
    const steps = bidSteps(
      [aRow(), aRow({ id: 2, bid: 30_000 }), aRow({ id: 3, bid: null }), aRow({ id: 4, bid: 20_000 })],
      -0.5,
      USUAL_LIMITS,
    );
    expect(steps.changes.map(({ change }) => change)).toEqual([
      { kind: 'set-bid', targetId: 1, from: 400_000, to: 200_000 },
      { kind: 'set-bid', targetId: 2, from: 30_000, to: 20_000 },
    ]);
    expect([steps.atLimit, steps.left]).toEqual([1, 2]);
    expect(steps.changes[0].reason).toBe('By hand: −50 %.');
  });
});

describe('the rows of the field', () => {
  const rows = [
    aRow(),
    aRow({ id: 2, expression: 'Crème jar', text: 'creme jar jars auto', spend: 9_000_000, sales: 0 }),
  ];

  test('hold every word searched for, accents and case aside', () => {
    expect(arrangeTargets(rows, 'CRÈME jar', { by: 'spend', descending: true }).map(({ id }) => id)).toEqual([
      2,
    ]);
  });

  test('without a value stand last, whichever way', () => {
    for (const descending of [true, false])
      expect(arrangeTargets(rows, '', { by: 'acos', descending }).at(-1)!.id).toBe(2);
  });

  test('are summed, ratios come from the sums', () => {
    const { sums, spendBefore } = totalOf(rows);
    expect([sums.spend, sums.sales, spendBefore]).toEqual([13_000_000, 20_000_000, 10_000_000]);
  });
});
