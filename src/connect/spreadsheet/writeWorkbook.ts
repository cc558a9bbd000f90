import { Zip, ZipDeflate } from 'fflate';
import { bookParts, rowXml, SHEET_FOOT, SHEET_HEAD, SHEET_PART } from './workbook/parts';

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

/** Writes rows as a workbook of one sheet, streamed: numbers as numbers, everything else as text. */
export async function* writeWorkbook(
  title: string,
  headings: string[],
  rows: AsyncIterable<(string | number)[]>,
): AsyncGenerator<Uint8Array> {
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
  for (const [name, xml] of Object.entries(bookParts(title))) opened(name).push(encoder.encode(xml), true);

  const sheet = opened(SHEET_PART);
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
  zip.end();
  yield* taken();
}
