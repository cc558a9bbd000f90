/** How near, in logarithms, the place is found. */
const NEAR = 3e-7;
const MOST_STEPS = 60;
/** After so many steps the range has to be at most half of what it was, or is halved. */
const PATIENCE = 3;

/**
 * The largest x in [low, high] at which something that grows with x has not passed 0, within a three-millionth. False position with the
 * end that stays weighed half (Illinois; Dowell and Jarratt, 1971), in ln x, with halvings where that does not get on: a third of the looks
 * that halvings alone take.
 * @param low > 0 @param of may be infinite
 */
export function lastUnder(low: number, high: number, of: (x: number) => number): number {
  let [a, atA, b, atB] = [Math.log(low), of(low), Math.log(high), of(high)];
  if (!(atA < 0)) return low;
  if (atB <= 0) return high;
  let [side, width, since] = [0, b - a, 0];
  for (let step = 0; step < MOST_STEPS && b - a > NEAR; step += 1) {
    const isLevel = since < PATIENCE && Number.isFinite(atA) && Number.isFinite(atB);
    const guess = isLevel ? a + ((b - a) * atA) / (atA - atB) : (a + b) / 2;
    // A step inside the range by half of what is near enough: where an end is right, the other comes up to it at once.
    const x = Math.min(b - NEAR / 2, Math.max(a + NEAR / 2, guess));
    const value = of(Math.exp(x));
    if (value > 0) {
      [b, atB] = [x, value];
      if (side > 0) atA /= 2;
      side = 1;
    } else {
      [a, atA] = [x, value];
      if (side < 0) atB /= 2;
      side = -1;
    }
    since += 1;
    if (b - a <= width / 2) [width, since] = [b - a, 0];
  }
  return Math.exp(a);
}
