/** How near, in logarithms, the place is found. */
const NEAR = 3e-7;
/** Looks that may be taken beyond those of halvings alone. */
const BEYOND = 1;
const TOWARD_MIDDLE = 0.2;

/**
 * The largest x in [low, high] at which something that grows with x has not passed 0, within a three-millionth: by interpolation, moved
 * toward the middle and kept near enough to it that it never takes more looks than halvings and one (ITP; Oliveira and Takahashi, 2020),
 * in ln x. Where there is no kink it takes a third of them.
 * @param low > 0 @param of may be infinite
 */
export function lastUnder(low: number, high: number, of: (x: number) => number): number {
  let [a, atA, b, atB] = [Math.log(low), of(low), Math.log(high), of(high)];
  if (!(atA < 0)) return low;
  if (atB <= 0) return high;
  const pull = TOWARD_MIDDLE / (b - a);
  let reach = NEAR * 2 ** (Math.ceil(Math.log2((b - a) / NEAR)) + BEYOND);
  while (b - a > NEAR) {
    reach /= 2;
    const middle = (a + b) / 2;
    const level = atB - atA < Infinity ? (b * atA - a * atB) / (atA - atB) : middle;
    const way = Math.sign(middle - level);
    const moved = pull * (b - a) ** 2;
    const near = moved <= Math.abs(middle - level) ? level + way * moved : middle;
    const room = Math.max(0, reach - (b - a) / 2);
    const x = Math.abs(near - middle) <= room ? near : middle - way * room;
    const value = of(Math.exp(x));
    if (value > 0) [b, atB] = [x, value];
    else [a, atA] = [x, value];
  }
  return Math.exp(a);
}
