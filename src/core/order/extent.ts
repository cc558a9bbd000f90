/** The largest of any number of values; -Infinity for none. (Spread into Math.max, a long list overflows the stack.) */
export function largest(values: Iterable<number>): number {
  let most = -Infinity;
  for (const value of values) if (value > most) most = value;
  return most;
}

/** The smallest of any number of values; Infinity for none. */
export function smallest(values: Iterable<number>): number {
  let least = Infinity;
  for (const value of values) if (value < least) least = value;
  return least;
}
