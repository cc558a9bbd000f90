import { PassThrough } from 'node:stream';
import ExcelJS from 'exceljs';

export const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A text that a spreadsheet would run as a formula gets an apostrophe in front. */
export function neutralCell(text: string): string {
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}

/** Writes rows as a workbook of one sheet, streamed: numbers as numbers, everything else as text. */
export function writeWorkbook(
  title: string,
  headings: string[],
  rows: AsyncIterable<(string | number)[]>,
): AsyncIterable<Uint8Array> {
  const out = new PassThrough();
  const book = new ExcelJS.stream.xlsx.WorkbookWriter({ stream: out, useSharedStrings: false });
  const sheet = book.addWorksheet(title);
  const write = async () => {
    sheet.addRow(headings).commit();
    for await (const row of rows)
      sheet.addRow(row.map((cell) => (typeof cell === 'string' ? neutralCell(cell) : cell))).commit();
    await book.commit();
  };
  write().catch((error: Error) => out.destroy(error));
  return out;
}
