import { readWhole } from './readXml';

/** Formats that every spreadsheet knows by number and that show a day; 18 to 21 and 45 to 47 show a time alone. */
const DAY_FORMATS = [14, 15, 16, 17, 22, 27, 28, 29, 30, 31, 36, 50, 51, 52, 53, 54, 55, 56, 57, 58];

/** Formats that every spreadsheet knows by number and that show a percentage. */
const PERCENT_FORMATS = [9, 10];

/** What a number is shown as: a day, a percentage, or the number that it is. */
export type ShownAs = 'day' | 'percentage' | 'number';

/**
 * What the styles of a workbook show their number as: without that a day and a percentage are numbers like any other.
 * @param bytes the workbook's styles
 * @returns for each cell style, by its number
 */
export async function cellStyles(bytes: AsyncIterable<Uint8Array>): Promise<ShownAs[]> {
  const own = new Map<number, ShownAs>();
  const styles: ShownAs[] = [];
  let inCells = false;
  await readWhole(bytes, {
    open: (name, attribute) => {
      if (name === 'numFmt') own.set(Number(attribute('numFmtId')), shownAs(attribute('formatCode') ?? ''));
      if (name === 'cellXfs') inCells = true;
      if (name === 'xf' && inCells) {
        const format = Number(attribute('numFmtId') ?? 0);
        styles.push(own.get(format) ?? knownFormat(format));
      }
    },
    close: (name) => {
      if (name === 'cellXfs') inCells = false;
    },
  });
  return styles;
}

const knownFormat = (format: number): ShownAs =>
  DAY_FORMATS.includes(format) ? 'day' : PERCENT_FORMATS.includes(format) ? 'percentage' : 'number';

/** What a number format shows: a day is a year, a day, or a month that is no minute. */
export function shownAs(format: string): ShownAs {
  const codes = format
    .replace(/"[^"]*"/g, '')
    .replace(/\[[^\]]*\]/g, '')
    .replace(/[\\_*]./g, '')
    .split(';')[0]
    .toLowerCase();
  if (codes.includes('general')) return 'number';
  if (codes.includes('%')) return 'percentage';
  return /[yd]/.test(codes) || (codes.includes('m') && !/[hs]/.test(codes)) ? 'day' : 'number';
}
