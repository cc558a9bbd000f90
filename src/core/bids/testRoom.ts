import type { Micros } from '../units';

/** What tests may still cost: over all, and in each part that has a cap of its own. @template T what is tested */
export interface TestRoom<T> {
  /** Takes the cost of a test where all that it lies in have room for it. @returns whether they had */
  take: (one: T, cost: Micros) => boolean;
}

/** @param room micros a month over all @param within the same for parts */
export function testRoom<T>(
  room: Micros,
  within: readonly { has: (one: T) => boolean; room: Micros }[],
): TestRoom<T> {
  const parts = [{ has: () => true, left: room }, ...within.map(({ has, room: left }) => ({ has, left }))];
  return {
    take: (one, cost) => {
      const its = parts.filter(({ has }) => has(one));
      if (!its.every(({ left }) => cost <= left)) return false;
      for (const part of its) part.left -= cost;
      return true;
    },
  };
}
