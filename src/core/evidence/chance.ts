/**
 * Numbers that look drawn by lot and are the same each time: what a page says of an effect must not change when it is
 * loaded again. (Steele and Vigna, 2014: splitmix, in its 32-bit form.)
 * @returns a function that gives the next number in [0, 1)
 */
export function steadyChance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 16), 0x85ebca6b);
    mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2ae35);
    return ((mixed ^ (mixed >>> 16)) >>> 0) / 4_294_967_296;
  };
}

/** The value below which a share of sorted numbers lies; NaN without any. */
export function quantileOf(numbers: Float64Array, share: number): number {
  if (numbers.length === 0) return NaN;
  const at = share * (numbers.length - 1);
  const low = Math.floor(at);
  const high = Math.min(numbers.length - 1, low + 1);
  return numbers[low] + (numbers[high] - numbers[low]) * (at - low);
}
