import { describe, expect, test } from 'vitest';
import { shareOut } from './shareOut';
import type { Sharer } from './shareOut';

/** The same numbers each time: a test that fails fails again. */
function chances(seed: number) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);

describe('a total that is shared out', () => {
  const some = (seed: number): Sharer[] => {
    const chance = chances(seed);
    return Array.from({ length: 3 + Math.floor(chance() * 12) }, () => ({
      budget: Math.round(100 + chance() * 5000) * 10_000,
      need: Math.round((0.2 + chance() ** 2 * 6) * 1e7),
      least: 1_000_000,
      most: 1e12,
      isLocked: chance() < 0.1,
    }));
  };
  const total = (list: Sharer[]) => sum(list.map(({ budget }) => budget));

  test.each(Array.from({ length: 60 }, (_, seed) => seed))(
    'is kept to the cent, with every minimum: account %i',
    (seed) => {
      const list = some(seed);
      const budgets = shareOut(list, total(list), 10_000);
      expect(sum(budgets)).toBe(total(list));
      budgets.forEach((to, at) => {
        const { least, budget, isLocked } = list[at];
        expect(to).toBeGreaterThanOrEqual(least);
        expect(to % 10_000).toBe(0);
        if (isLocked) expect(to).toBe(budget);
      });
    },
  );

  test.each(Array.from({ length: 60 }, (_, seed) => seed))(
    'leaves nobody in need while another has money idle: account %i',
    (seed) => {
      const list = some(seed).map((one) => ({ ...one, isLocked: false }));
      const budgets = shareOut(list, total(list), 10_000);
      // What would move by under a tenth stays: within a tenth of the need nobody is in need.
      const isShort = budgets.some((to, at) => to < list[at].need * 0.89);
      const isIdle = budgets.some((to, at) => to > Math.max(list[at].least, list[at].need) * 1.13);
      expect(isShort && isIdle).toBe(false);
    },
  );

  test('falls the same way whatever the order and the currency', () => {
    const list = some(7);
    const budgets = shareOut(list, total(list), 10_000);
    const turned = shareOut([...list].reverse(), total(list), 10_000).reverse();
    turned.forEach((to, at) => expect(Math.abs(to - budgets[at])).toBeLessThanOrEqual(10_000));
    const yen = list.map((one) => ({
      ...one,
      budget: one.budget * 160,
      need: one.need * 160,
      least: one.least * 160,
      most: one.most * 160,
    }));
    shareOut(yen, total(yen), 1_600_000).forEach((to, at) => expect(to / 160).toBeCloseTo(budgets[at], -4));
  });

  test('moves nothing where everybody has what is needed, and no cents about', () => {
    const list = [20, 30, 5].map((units) => ({
      budget: units * 1e6,
      need: units * 0.95e6,
      least: 1e6,
      most: 1e12,
      isLocked: false,
    }));
    expect(shareOut(list, total(list), 10_000)).toEqual(list.map(({ budget }) => budget));
  });
});
