import { Zip, ZipDeflate } from 'fflate';
import { bookParts, rowXml, SHEET_FOOT, SHEET_HEAD, sheetPart } from './workbook/parts';

export const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** Letters of rows that are packed at once. */
const LOT_LETTERS = 65_536;

/**
 * A text that a spreadsheet would run as a formula gets an apostrophe in front; so does what would begin a cell of its own where the
 * spreadsheet parts cells by another mark than the file does.
 */
export function neutralCell(text: string): string {
  const behindMarks = text.replace(/([;,|\t\r\n]["']*)(?=[=+\-@])/g, "$1'");
  return /^[=+\-@\t\r]/.test(text) ? `'${behindMarks}` : behindMarks;
}

/** A sheet of a workbook: its headings, and its rows as they come. */
export interface Sheet {
  title: string;
  headings: string[];
  rows: AsyncIterable<(string | number)[]> | Iterable<(string | number)[]>;
}

/** Writes rows as a workbook of one sheet, streamed: numbers as numbers, everything else as text. */
export const writeWorkbook = (
  title: string,
  headings: string[],
  rows: AsyncIterable<(string | number)[]>,
): AsyncGenerator<Uint8Array> => writeSheets([{ title, headings, rows }]);

/** Writes sheets as a workbook, streamed, one after another. */
export async function* writeSheets(sheets: readonly Sheet[]): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  let packed: Uint8Array[] = [];
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    packed.push(bytes);
  });
  const taken = () => {
    const now = packed;
    packed = [];
    return now;
  };
  const opened = (name: string) => {
    const part = new ZipDeflate(name, { level: 6 });
    zip.add(part);
    return part;
  };
  for (const [name, xml] of Object.entries(bookParts(sheets.map(({ title }) => title))))
    opened(name).push(encoder.encode(xml), true);
  for (const [at, { headings, rows }] of sheets.entries()) {
    const sheet = opened(sheetPart(at + 1));
    let number = 1;
    let lot = SHEET_HEAD + rowXml(number, headings);
    for await (const row of rows) {
      number += 1;
      lot += rowXml(
        number,
        row.map((cell) => (typeof cell === 'string' ? neutralCell(cell) : cell)),
      );
      if (lot.length < LOT_LETTERS) continue;
      sheet.push(encoder.encode(lot));
      lot = '';
      yield* taken();
    }
    sheet.push(encoder.encode(lot + SHEET_FOOT), true);
  }
  zip.end();
  yield* taken();
}
