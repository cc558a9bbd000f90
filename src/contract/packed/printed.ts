const COMMA = 44;
const MINUS = 45;
const ZERO = 48;
const NINE = 57;

/** How many numbers a printed column has. */
function countOf(printed: string): number {
  if (printed === '') return 0;
  let count = 1;
  for (let at = printed.indexOf(','); at >= 0; at = printed.indexOf(',', at + 1)) count += 1;
  return count;
}

/** Reads whole numbers, printed and joined by commas. */
function wholeNumbers(printed: string): Float64Array {
  const column = new Float64Array(countOf(printed));
  let [value, sign, to] = [0, 1, 0];
  for (let at = 0; at < printed.length; at += 1) {
    const code = printed.charCodeAt(at);
    if (code === COMMA) {
      column[to] = sign * value;
      [value, sign, to] = [0, 1, to + 1];
    } else if (code === MINUS) sign = -1;
    // What is no digit (a point, a word) makes no number: it is refused.
    else value = code < ZERO || code > NINE ? NaN : value * 10 + (code - ZERO);
  }
  if (column.length > 0) column[to] = sign * value;
  return column;
}

/**
 * A column as the database printed it, numbers joined by commas: whole ones, in half the room where all of them allow it.
 * @throws RangeError for a number that is not whole, or larger than can be counted exactly
 */
export function columnOf(printed: string): Int32Array | Float64Array {
  const column = wholeNumbers(printed);
  let isSmall = true;
  for (let at = 0; at < column.length; at += 1) {
    const value = column[at];
    if (!Number.isSafeInteger(value))
      throw new RangeError(
        `A figure of the database is not whole, or larger than can be counted exactly (${value}).`,
      );
    if (value !== (value | 0)) isSmall = false;
  }
  return isSmall ? Int32Array.from(column) : column;
}
