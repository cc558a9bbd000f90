/** The largest of any number of values; -Infinity for none. (Spread into Math.max, a long list overflows the stack.) */
export function largest(values: Numbers): number {
  const list = listed(values);
  let most = -Infinity;
  for (let at = 0; at < list.length; at += 1) if (list[at] > most) most = list[at];
  return most;
}

/** The smallest of any number of values; Infinity for none. */
export function smallest(values: Numbers): number {
  const list = listed(values);
  let least = Infinity;
  for (let at = 0; at < list.length; at += 1) if (list[at] < least) least = list[at];
  return least;
}

type Numbers = Iterable<number> | ArrayLike<number>;

/** A column of millions is gone through by index: an iterator takes several times as long. */
const listed = (values: Numbers): ArrayLike<number> => ('length' in values ? values : Array.from(values));
