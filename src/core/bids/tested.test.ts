import { describe, expect, test } from 'vitest';
import { BID_STEPS, boughtBy, outcomeOf, proposalAt } from '.';
import type { Tested } from '.';
import { capTests } from './testing';
import { emptyAimed, emptyStepped } from './proposalColumns';

const EUR = 1_000_000;

describe('the allowance of tests', () => {
  const left = (room: number, within?: Parameters<typeof capTests>[2]) => {
    const tests = { ...emptyAimed(3), ...emptyStepped(3) };
    tests.step.fill(BID_STEPS.indexOf('test'));
    tests.testGain.set([10, 30, 20]);
    tests.testChance.fill(0.5);
    tests.testCost.fill(4);
    capTests(tests, room, within);
    return [0, 1, 2].filter((target) => proposalAt(tests, target).step === 'test');
  };

  test('goes to those from which most is learnt for the money', () => {
    expect(left(12)).toEqual([0, 1, 2]);
    expect(left(8)).toEqual([1, 2]);
    expect(left(3)).toEqual([]);
  });

  test('of a part of the account counts beside that of the whole', () => {
    expect(left(12, [{ targets: [1, 2], room: 4 }])).toEqual([0, 1]);
    expect(left(4, [{ targets: [1], room: 0 }])).toEqual([2]);
    // What is left out in a part leaves its money to the others.
    expect(left(8, [{ targets: [1], room: 0 }])).toEqual([0, 2]);
  });
});

describe('what became of a test', () => {
  const tested: Tested = {
    before: 500_000,
    now: 800_000,
    isRunning: true,
    clicks: 30,
    spend: 15 * EUR,
    orders: 3,
    sales: 90 * EUR,
    margin: 0.4,
    targetAcos: 0.2,
  };

  test('is good with the orders that prove it, on target; given up when paused or bid no more than before', () => {
    expect(outcomeOf(tested, 2)).toBe('good');
    expect(outcomeOf(tested, 4)).toBe('open');
    expect(outcomeOf({ ...tested, spend: 19 * EUR }, 2)).toBe('open');
    expect(outcomeOf({ ...tested, now: 500_000 }, 2)).toBe('given up');
    expect(outcomeOf({ ...tested, isRunning: false }, 2)).toBe('given up');
  });

  test('comes to sums, and to a profit only where every margin is known', () => {
    expect(boughtBy([tested, tested])).toEqual({
      tried: 2,
      spend: 30 * EUR,
      sales: 180 * EUR,
      profit: 42 * EUR,
    });
    expect(boughtBy([tested, { ...tested, margin: null }]).profit).toBeNull();
  });
});
