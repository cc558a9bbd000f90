const DAY_MS = 86_400_000;

/**
 * The day of a spreadsheet's day number, ISO; a time of the day is left out. Day 60 of the usual count is the 29 February
 * 1900 that never was: from day 61 on the count is right, and no report is older.
 * @param from1904 whether the workbook counts from 1904-01-01 rather than 1900
 * @returns null when the number is no day of such a count
 */
export function dayOfNumber(number: number, from1904: boolean): string | null {
  const [epoch, first] = from1904 ? [Date.UTC(1904, 0, 1), 0] : [Date.UTC(1899, 11, 30), 61];
  if (!(number >= first && number < 2_958_466)) return null;
  return new Date(epoch + Math.floor(number) * DAY_MS).toISOString().slice(0, 10);
}
