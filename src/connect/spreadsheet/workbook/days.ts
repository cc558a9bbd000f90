import { readWhole } from './readXml';

/** Formats that every spreadsheet knows by number and that show a day; 18 to 21 and 45 to 47 show a time alone. */
const DAY_FORMATS = [14, 15, 16, 17, 22, 27, 28, 29, 30, 31, 36, 50, 51, 52, 53, 54, 55, 56, 57, 58];
const DAY_MS = 86_400_000;

/**
 * Which styles of a workbook show their number as a day: without that a day is a number like any other.
 * @param bytes the workbook's styles
 * @returns for each cell style, by its number, whether it shows a day
 */
export async function dayStyles(bytes: AsyncIterable<Uint8Array>): Promise<boolean[]> {
  const own = new Map<number, boolean>();
  const styles: boolean[] = [];
  let inCells = false;
  await readWhole(bytes, {
    open: (name, attribute) => {
      if (name === 'numFmt') own.set(Number(attribute('numFmtId')), showsDay(attribute('formatCode') ?? ''));
      if (name === 'cellXfs') inCells = true;
      if (name === 'xf' && inCells) {
        const format = Number(attribute('numFmtId') ?? 0);
        styles.push(own.get(format) ?? DAY_FORMATS.includes(format));
      }
    },
    close: (name) => {
      if (name === 'cellXfs') inCells = false;
    },
  });
  return styles;
}

/** Whether a number format shows a day: a year, a day, or a month that is no minute. */
export function showsDay(format: string): boolean {
  const codes = format
    .replace(/"[^"]*"/g, '')
    .replace(/\[[^\]]*\]/g, '')
    .replace(/[\\_*]./g, '')
    .split(';')[0]
    .toLowerCase();
  if (codes.includes('general')) return false;
  return /[yd]/.test(codes) || (codes.includes('m') && !/[hs]/.test(codes));
}

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
