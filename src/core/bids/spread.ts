import type { Numbers } from '../order';

/** Figures that came summed over several days: the age that they stand on, and those that they cover; yesterday is 0. */
export interface SummedAges {
  standsOn: number;
  youngest: number;
  oldest: number;
}

/**
 * Columns of days in which what came summed is spread evenly over its days: nothing better is known of them, and what weighs days by
 * their age sees the ages that they have. Whole numbers stay whole and sums stay exact; days that are left without anything are dropped.
 * @param figures the columns to be spread; the others are kept
 */
export function spreadSums<C extends Record<string, Numbers> & { age: Numbers }>(
  columns: C,
  figures: readonly (keyof C & string)[],
  sums: readonly SummedAges[],
): C {
  if (sums.length === 0) return columns;
  const byAge = new Map(sums.map((sum) => [sum.standsOn, sum]));
  const names = Object.keys(columns);
  const spread: Record<string, number[]> = Object.fromEntries(names.map((name) => [name, []]));
  const isFigure = new Set<string>(figures);
  for (let row = 0; row < columns.age.length; row += 1) {
    const age = columns.age[row];
    const { youngest, oldest } = byAge.get(age) ?? { youngest: age, oldest: age };
    const days = oldest - youngest + 1;
    for (let day = 0; day < days; day += 1) {
      const part = (name: string) => {
        const whole = columns[name][row];
        return Math.round((whole * (day + 1)) / days) - Math.round((whole * day) / days);
      };
      if (days > 1 && figures.every((name) => part(name) === 0)) continue;
      for (const name of names)
        spread[name].push(
          name === 'age' ? youngest + day : isFigure.has(name) ? part(name) : columns[name][row],
        );
    }
  }
  return spread as Record<string, Numbers> as C;
}
