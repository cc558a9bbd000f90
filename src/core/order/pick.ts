import type { Numbers } from './numbers';

/** The numbers of some rows, in their order. By hand: the engines go through columns several times faster so than by an iterator. */
export function pickNumbers(column: Numbers, rows: Numbers): Float64Array {
  const picked = new Float64Array(rows.length);
  for (let at = 0; at < rows.length; at += 1) picked[at] = column[rows[at]];
  return picked;
}

/** The same of whole numbers. */
export function pickWhole(column: Numbers, rows: Numbers): Int32Array {
  const picked = new Int32Array(rows.length);
  for (let at = 0; at < rows.length; at += 1) picked[at] = column[rows[at]];
  return picked;
}

/** The rows of a column whose ids are known, and what each stands at. */
export function rowsKnown(
  ids: Numbers,
  places: ReadonlyMap<number, number>,
): { rows: Int32Array; place: Int32Array } {
  const [rows, place] = [new Int32Array(ids.length), new Int32Array(ids.length)];
  let count = 0;
  // Rows of one thing often follow each other.
  let [last, lastPlace]: [number, number | undefined] = [NaN, undefined];
  for (let row = 0; row < ids.length; row += 1) {
    if (ids[row] !== last) [last, lastPlace] = [ids[row], places.get(ids[row])];
    if (lastPlace === undefined) continue;
    rows[count] = row;
    place[count] = lastPlace;
    count += 1;
  }
  return { rows: rows.slice(0, count), place: place.slice(0, count) };
}
