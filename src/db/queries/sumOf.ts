/** Adds up a bigint. `sum` goes over to numerics for these, which takes several times as long where there are many groups. */
export const sumOfBig = (column: string): string => `mowing.sum_micros(${column})`;

/** Adds up a column of facts: money is a bigint, what is counted an integer. */
export const sumOf = (column: string): string =>
  column.endsWith('_micros') ? sumOfBig(column) : `sum(${column})`;
