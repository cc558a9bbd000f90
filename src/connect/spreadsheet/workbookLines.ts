import { MowingError } from '../../contract/mowingError';
import { openWorkbook } from './workbook/openWorkbook';
import type { Workbook } from './workbook/openWorkbook';
import { sheetRows } from './workbook/sheetRows';

/**
 * The rows of a workbook's first sheet with rows, as lines of CSV: row numbers stay line numbers. Days are written ISO, numbers
 * with a decimal point.
 * @throws MowingError when no sheet can be read
 */
export async function* workbookLines(file: string): AsyncGenerator<Uint8Array> {
  let book: Workbook | undefined;
  try {
    book = await openWorkbook(file);
    for (const sheet of book.sheets) {
      let hasRows = false;
      for await (const lines of sheetLines(book, sheet)) {
        hasRows = true;
        yield lines;
      }
      if (hasRows) return;
    }
  } catch (error) {
    if (error instanceof MowingError) throw error;
    throw new MowingError(
      'unreadable-file',
      'The spreadsheet could not be read. Nothing was taken in. Save it again as XLSX or CSV.',
    );
  } finally {
    book?.archive.close();
  }
  throw new MowingError('unreadable-file', 'The spreadsheet has no sheet with rows. Nothing was taken in.');
}

async function* sheetLines(book: Workbook, sheet: string): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  let line = 0;
  // A sheet ends its rows with their last cell that says something: they are as wide as the widest so far.
  let width = 0;
  for await (const lot of sheetRows(book, sheet)) {
    let text = '';
    for (const { number, cells } of lot) {
      for (line += 1; line < number; line += 1) text += '\n';
      width = Math.max(width, cells.length);
      while (cells.length < width) cells.push('');
      text += `${cells.map(csvField).join(',')}\n`;
    }
    yield encoder.encode(text);
  }
}

/** A cell as it stood: this text is read again at once, so nothing in it is made harmless to spreadsheets. */
function csvField(text: string): string {
  return /[",\n\r]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}
