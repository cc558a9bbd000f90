import { neutralCell } from './writeWorkbook';

const NUMBER = /^-?\d+(\.\d+)?$/;

/** A cell of a CSV file: quoted where it has to be, and harmless to spreadsheets. */
function csvCell(cell: string | number | null): string {
  if (cell === null) return '';
  if (typeof cell === 'number') return String(cell);
  const text = NUMBER.test(cell) ? cell : neutralCell(cell);
  return /[",\n\r]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}

/** A line of a CSV file, with its line end. */
export const csvLine = (cells: readonly (string | number | null)[]): string =>
  `${cells.map(csvCell).join(',')}\n`;
