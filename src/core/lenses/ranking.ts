/** A row with its part of the whole. */
export interface Ranked {
  row: number;
  value: number;
  /** Of the total of all rows with the same sign; null for what does not add up (ratios). */
  share: number | null;
}

/** The rows with the largest values, largest first, and what the others come to. */
export interface Ranking {
  top: Ranked[];
  /** How many rows are not among the top, and the sum of their values. */
  rest: { count: number; value: number };
  total: number;
}

/**
 * Ranks rows by a number. Rows without a value are left out.
 * @param isAdditive whether values of rows add up, so that shares mean something
 */
export function rankRows(
  rows: ArrayLike<number>,
  read: (row: number) => number | null,
  most: number,
  isAdditive: boolean,
): Ranking {
  const pairs: { row: number; value: number }[] = [];
  let total = 0;
  for (let at = 0; at < rows.length; at += 1) {
    const value = read(rows[at]);
    if (value === null) continue;
    pairs.push({ row: rows[at], value });
    total += value;
  }
  pairs.sort((a, b) => b.value - a.value || a.row - b.row);
  const top = pairs
    .slice(0, most)
    .map(({ row, value }) => ({ row, value, share: isAdditive && total !== 0 ? value / total : null }));
  const shown = top.reduce((sum, { value }) => sum + value, 0);
  return { top, rest: { count: pairs.length - top.length, value: total - shown }, total };
}
