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
  let all = room;
  const parts = within.map(({ has, room: left }) => ({ has, left }));
  return {
    take: (one, cost) => {
      // Most that are asked about when little is left find no room: they are gone through quickly.
      if (!(cost <= all)) return false;
      const its = parts.filter(({ has }) => has(one));
      if (!its.every(({ left }) => cost <= left)) return false;
      all -= cost;
      for (const part of its) part.left -= cost;
      return true;
    },
  };
}
