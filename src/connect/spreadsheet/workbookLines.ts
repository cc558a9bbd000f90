import ExcelJS from 'exceljs';
import { MowingError } from '../../contract/mowingError';

/**
 * The rows of a workbook's first sheet with rows, as lines of CSV: row numbers stay line numbers. Days are written ISO, numbers
 * with a decimal point.
 * @throws MowingError when no sheet can be read
 */
export async function* workbookLines(file: string): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  let hasRows = false;
  try {
    const book = new ExcelJS.stream.xlsx.WorkbookReader(file, {
      sharedStrings: 'cache',
      styles: 'cache', // without styles a day is a number like any other
      hyperlinks: 'ignore',
      worksheets: 'emit',
      entries: 'emit',
    });
    for await (const sheet of book) {
      let line = 0;
      for await (const row of sheet) {
        hasRows = true;
        let text = '';
        for (line += 1; line < row.number; line += 1) text += '\n';
        const cells = Array.from({ length: row.cellCount }, (_, at) =>
          csvField(cellText(row.getCell(at + 1).value)),
        );
        yield encoder.encode(`${text}${cells.join(',')}\n`);
      }
      if (hasRows) return;
    }
  } catch (error) {
    if (error instanceof MowingError) throw error;
    throw new MowingError(
      'unreadable-file',
      'The spreadsheet could not be read. Nothing was taken in. Save it again as XLSX or CSV.',
    );
  }
  if (!hasRows)
    throw new MowingError('unreadable-file', 'The spreadsheet has no sheet with rows. Nothing was taken in.');
}

function cellText(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'number') return Number.isInteger(value) ? String(value) : trimmed(value);
  if (typeof value !== 'object') return String(value);
  if ('result' in value) return cellText(value.result as ExcelJS.CellValue);
  if ('richText' in value) return value.richText.map(({ text }) => text).join('');
  if ('text' in value) return String(value.text);
  return '';
}

/** A number without the noise of its last binary digits. */
function trimmed(value: number): string {
  return value.toFixed(9).replace(/\.?0+$/, '');
}

function csvField(text: string): string {
  return /[",\n\r]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}
