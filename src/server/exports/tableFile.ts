import type { TableToWrite } from '../../contract/requests';
import { csvLine, writeWorkbook, XLSX_TYPE } from '../../connect/spreadsheet';

type Cell = string | number | null;

/** A table as it stands on a page. */
/** A table that a page shows, as a file: numbers as numbers, texts harmless to spreadsheets. */
export function tableFile({ name, headings, rows }: TableToWrite, format: 'csv' | 'xlsx') {
  const file = name.replace(/[^\w -]+/g, '').trim() || 'table';
  if (format === 'xlsx')
    return {
      name: `${file}.xlsx`,
      type: XLSX_TYPE,
      body: writeWorkbook(file.slice(0, 31), headings, cells(rows)),
    };
  return { name: `${file}.csv`, type: 'text/csv; charset=utf-8', body: lines(headings, rows) };
}

const toCell = (value: unknown): Cell =>
  typeof value === 'number' || value === null ? value : String(value).slice(0, 2000);

async function* cells(rows: unknown[][]): AsyncGenerator<(string | number)[]> {
  for (const row of rows) yield row.map((value) => toCell(value) ?? '');
}

async function* lines(headings: string[], rows: unknown[][]): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  yield encoder.encode(csvLine(headings));
  for (let at = 0; at < rows.length; at += 1000)
    yield encoder.encode(
      rows
        .slice(at, at + 1000)
        .map((row) => csvLine(row.map(toCell)))
        .join(''),
    );
}
