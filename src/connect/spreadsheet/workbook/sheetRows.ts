import { dayOfNumber } from './days';
import type { ShownAs } from './styles';
import type { Workbook } from './openWorkbook';
import { readXml } from './readXml';

/** Stands where a formula was saved without what it comes to; no field takes it. */
const NO_RESULT = '#formula without a saved result';

/** The largest sheet there is. */
const MOST_ROWS = 1_048_576;
const MOST_COLUMNS = 16_384;

/** A row of a sheet: its number, from 1, and the texts of its cells up to the last that has one. */
export interface SheetRow {
  number: number;
  cells: string[];
}

/**
 * The rows of a sheet that hold anything, in lots, as the sheet is read.
 * @param sheet the part that holds it
 * @throws Error when the sheet is damaged
 */
export async function* sheetRows(book: Workbook, sheet: string): AsyncGenerator<SheetRow[]> {
  let lot: SheetRow[] = [];
  let number = 0;
  let column = 0;
  let cells: string[] = [];
  let type: string | undefined;
  let style = 0;
  let value = '';
  let isValue = false;
  let isHint = false;
  let [isFormula, hasResult] = [false, false];
  const pieces = readXml(await book.archive.part(sheet), {
    open: (name, attribute) => {
      if (name === 'row') {
        number = following(number, Number(attribute('r') ?? number + 1), MOST_ROWS);
        cells = [];
        column = 0;
      } else if (name === 'c') {
        column = following(column, columnOf(attribute('r')) ?? column + 1, MOST_COLUMNS);
        type = attribute('t');
        style = Number(attribute('s') ?? 0);
        value = '';
        [isFormula, hasResult] = [false, false];
      }
      if (name === 'f') isFormula = true;
      if (name === 'v') hasResult = true;
      if (name === 'rPh') isHint = true;
      isValue = (name === 'v' && type !== 'inlineStr') || (name === 't' && type === 'inlineStr' && !isHint);
    },
    text: (piece) => {
      if (isValue) value += piece;
    },
    close: (name) => {
      isValue = false;
      if (name === 'rPh') isHint = false;
      if (name === 'c') {
        // What a formula comes to is in the sheet, or nobody knows it here: it is not nothing.
        const text = isFormula && !hasResult ? NO_RESULT : cellText(book, type, style, value);
        if (text === '') return;
        while (cells.length < column - 1) cells.push('');
        cells.push(text);
      } else if (name === 'row' && cells.length > 0) lot.push({ number, cells });
    },
  });
  for await (const _piece of pieces) {
    if (lot.length > 0) yield lot;
    lot = [];
  }
}

function following(last: number, next: number, most: number): number {
  if (!(Number.isInteger(next) && next > last && next <= most)) throw new Error(`${next} follows ${last}`);
  return next;
}

/** The column, from 1, that a cell's address names: “AB12” is the 28th. */
function columnOf(address: string | undefined): number | undefined {
  const letters = address === undefined ? null : /^[A-Z]{1,3}/.exec(address);
  if (!letters) return undefined;
  return [...letters[0]].reduce((column, letter) => column * 26 + letter.charCodeAt(0) - 64, 0);
}

/** What a cell says. A fault that a formula ended in stays as it stands: the row that holds it is refused by its reader. */
function cellText(book: Workbook, type: string | undefined, style: number, value: string): string {
  switch (type) {
    case 's': {
      const text = book.texts[Number(value)];
      if (value !== '' && text === undefined) throw new Error(`no text ${value}`);
      return text ?? '';
    }
    case 'b':
      return value === '' ? '' : value === '1' ? 'true' : 'false';
    case 'd':
      return value.slice(0, 10);
    case undefined:
    case 'n':
      return numberText(value, book.styles[style] ?? 'number', book.countsFrom1904);
    default:
      return value;
  }
}

function numberText(value: string, shown: ShownAs, from1904: boolean): string {
  const number = Number(value);
  if (value === '' || !Number.isFinite(number)) return value;
  if (shown === 'percentage') return `${trimmed(number * 100)}%`;
  const day = shown === 'day' ? dayOfNumber(number, from1904) : null;
  if (day !== null) return day;
  // A long whole number keeps all its digits.
  if (/^-?\d+$/.test(value)) return value;
  return Number.isInteger(number) ? String(number) : trimmed(number);
}

/** A number without the noise of its last binary digits. */
function trimmed(value: number): string {
  return value.toFixed(9).replace(/\.?0+$/, '');
}
