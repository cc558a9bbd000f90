const DIGITS = 65_536;

/**
 * Rows in the order of a number each, smallest first; rows with equal numbers keep their order. A radix sort by 16 bits at
 * a time (Knuth, The Art of Computer Programming 3, 5.2.5): linear, where comparing a hundred thousand rows with each other
 * would take longer than a frame.
 * @param keys by row; no NaN
 */
export function orderByNumbers(rows: Int32Array, keys: Float64Array): Int32Array {
  const bits = sortableBits(rows, keys);
  let order = Int32Array.from(rows, (_, at) => at);
  let next = new Int32Array(rows.length);
  const starts = new Int32Array(DIGITS);
  for (let digit = 0; digit < 4; digit += 1) {
    starts.fill(0);
    const word = digit < 2 ? bits.low : bits.high;
    const shift = digit % 2 === 0 ? 0 : 16;
    for (let at = 0; at < word.length; at += 1) starts[(word[at] >>> shift) & 0xffff] += 1;
    let sum = 0;
    let isSplit = false;
    for (let value = 0; value < DIGITS; value += 1) {
      const count = starts[value];
      if (count > 0 && count < rows.length) isSplit = true;
      starts[value] = sum;
      sum += count;
    }
    if (!isSplit) continue; // all rows have the same digit here
    for (let at = 0; at < order.length; at += 1) {
      const from = order[at];
      const value = (word[from] >>> shift) & 0xffff;
      next[starts[value]] = from;
      starts[value] += 1;
    }
    [order, next] = [next, order];
  }
  return order.map((at) => rows[at]);
}

/** The bits of each number, turned so that they compare as whole numbers: IEEE 754 numbers do but for their signs. */
function sortableBits(rows: Int32Array, keys: Float64Array): { low: Uint32Array; high: Uint32Array } {
  const low = new Uint32Array(rows.length);
  const high = new Uint32Array(rows.length);
  const number = new Float64Array(1);
  const words = new Uint32Array(number.buffer);
  for (let at = 0; at < rows.length; at += 1) {
    number[0] = keys[rows[at]] + 0; // -0 is 0
    const isNegative = words[1] >>> 31 === 1;
    low[at] = isNegative ? ~words[0] : words[0];
    high[at] = isNegative ? ~words[1] : words[1] | 0x80000000;
  }
  return { low, high };
}

/** The place of each row's text among all texts, in order; equal texts have equal places. */
export function textPlaces(rows: Int32Array, size: number, textOf: (row: number) => string): Float64Array {
  const places = new Map<string, number>();
  for (const row of rows) places.set(textOf(row), 0);
  [...places.keys()].sort().forEach((text, at) => places.set(text, at));
  const keys = new Float64Array(size);
  for (const row of rows) keys[row] = places.get(textOf(row))!;
  return keys;
}
