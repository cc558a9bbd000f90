import { describe, expect, test } from 'vitest';
import {
  estimateTrial,
  heldThrough,
  isOnWeek,
  leftBound,
  movesOf,
  nextSwitch,
  shownIn,
  verdictOf,
  weeksNeeded,
} from '.';
import type { TrialWeek } from '.';

const sums = (orders: number) => ({ clicks: 10 * orders, orders, spend: 4e6 * orders, sales: 20e6 * orders });
/** Weeks of a trial in which what is on sells more by a share, under a trend that goes up by 5 % a week. */
const weeksOf = (count: number, more: number, orders = 200): TrialWeek[] =>
  Array.from({ length: count }, (_, week) => {
    const trend = 1 + 0.05 * week;
    return {
      isOn: isOnWeek(week),
      own: sums(orders * trend * (isOnWeek(week) ? 1 + more : 1)),
      others: sums(0),
    };
  });

describe('a trial by weeks', () => {
  test('is on and off as often in each four weeks, and in an order in which a trend falls out', () => {
    const weeks = Array.from({ length: 16 }, (_, week) => (isOnWeek(week) ? '1' : '0')).join('');
    expect(weeks).toBe('1001011001101001');
    const { effects } = estimateTrial(weeksOf(8, 0), 8);
    expect(Math.abs(effects.sales!.effect)).toBeLessThan(0.001);
    expect(estimateTrial(weeksOf(8, 0.2), 8).effects.sales!.effect).toBeCloseTo(0.2, 2);
  });

  test('switches on the first day of another kind of week, last when its weeks are over', () => {
    expect(nextSwitch('2026-11-02', 4, '2026-11-02')).toBe('2026-11-09');
    // Two weeks off: the next switch is after both.
    expect(nextSwitch('2026-11-02', 4, '2026-11-09')).toBe('2026-11-23');
    expect(nextSwitch('2026-11-02', 4, '2026-11-23')).toBe('2026-11-30');
    expect(nextSwitch('2026-11-02', 4, '2026-11-30')).toBe(null);
  });

  test('leaves out a week in the midst of which it was switched late', () => {
    const switches = [
      { day: '2026-11-02', isOn: true },
      { day: '2026-11-11', isOn: false },
    ];
    expect([0, 1, 2].map((week) => heldThrough(switches, '2026-11-02', week))).toEqual([true, null, false]);
  });

  test('needs the longer the smaller the effect and the account; fewer to compare with take longer still', () => {
    const size = { orders: 200, untouched: 0 };
    // 39 / (200 x ln(1.2)^2) + 1 = 6.9
    expect(weeksNeeded(size, 0.2)).toBe(7);
    expect(weeksNeeded(size, 0.1)).toBe(23);
    expect(weeksNeeded({ orders: 200, untouched: 200 }, 0.2)).toBe(13);
    expect(weeksNeeded({ orders: 0, untouched: 100 }, 0.2)).toBe(Infinity);
    expect(shownIn(size, 7)).toBeCloseTo(0.2, 1);
  });

  test('what moves all campaigns is not taken for what the changes do', () => {
    const known = weeksOf(8, 0.3).map((one) => ({ ...one, others: { ...one.own } }));
    expect(estimateTrial(known, 8).effects.sales!.effect).toBeCloseTo(0, 6);
  });

  test('is not told sure early: looking each week takes a stronger effect in the first weeks', () => {
    const early = estimateTrial(weeksOf(2, 0.4), 12);
    expect(early.z).toBeGreaterThan(1.96);
    expect(verdictOf(early, false)).toBe('not told');
    expect(verdictOf(estimateTrial(weeksOf(12, 0.25), 12), false)).toBe('better');
    expect(verdictOf(estimateTrial(weeksOf(12, -0.25), 12), true)).toBe('worse');
    expect(verdictOf(estimateTrial(weeksOf(12, 0.005), 12), true)).toBe('not told');
  });

  test('a kind of week that has not been yet tells nothing', () => {
    expect(estimateTrial(weeksOf(1, 0.2), 8).effects.sales).toBe(null);
    expect(verdictOf(estimateTrial([], 8), true)).toBe('not told');
  });
});

test('what is watched stops a trial that costs more than was agreed', () => {
  const bounds = { sales: 0.15, rank: 0.3 };
  const fell = { before: 100, now: 80, othersBefore: 200, othersNow: 200 };
  expect(leftBound(movesOf({ sales: fell, rank: null }), bounds)).toBe('sales');
  // Where all products fall alike, the trial is not what did it.
  expect(leftBound(movesOf({ sales: { ...fell, othersNow: 160 }, rank: null }), bounds)).toBe(null);
  const rank = { before: Math.log(10), now: Math.log(14), terms: 12 };
  expect(leftBound(movesOf({ sales: null, rank }), bounds)).toBe('rank');
  expect(movesOf({ sales: null, rank: null })).toEqual({ sales: null, rank: null });
});
