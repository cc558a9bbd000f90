import { lensNamed } from '../../../core/lenses';
import { isChoiceKey, isNumberKey, numberField } from '../../../core/conditions';
import type { RowReader } from '../../../core/conditions';
import type { LensTable } from '../../../core/lenses';
import { MICROS_PER_UNIT } from '../../../core/units';
import type { Column } from '../../../table';

type Cell = string | number | null;

/** Rows as they leave the page: headings with units, money in currency units, shares as fractions of one. */
export function outOfTable(
  table: LensTable,
  reader: RowReader,
  columns: Column<number>[],
  rows: ArrayLike<number>,
  currency: string,
): { headings: string[]; rows: Cell[][] } {
  const kept = columns.filter(({ key }) => key !== 'trend');
  const reads = kept.map(({ key }) => cellReader(table, reader, key));
  return {
    headings: kept.map(({ key, label }) => headingOf(table, key, label, currency)),
    rows: Array.from(rows, (row) => reads.map((read) => read(row))),
  };
}

function headingOf(table: LensTable, key: string, label: string, currency: string): string {
  if (key === 'standing') return 'Standing';
  return isMoney(table, key) ? `${label} ${currency}` : label;
}

/** Whether a column is money; the value of a placement is a share. */
const isMoney = (table: LensTable, key: string): boolean =>
  isNumberKey(key) &&
  numberField(key).unit === 'money' &&
  !(key === 'bid' && lensNamed(table.lens).value === 'modifier');

function cellReader(table: LensTable, reader: RowReader, key: string): (row: number) => Cell {
  if (key === 'name') return (row) => table.name[row];
  if (key === 'place') return (row) => table.place[row];
  if (isChoiceKey(key)) return reader.choice(key);
  if (!isNumberKey(key)) return () => null;
  const read = reader.number(key);
  const inMoney = isMoney(table, key);
  return (row) => {
    const value = read(row);
    if (value === null) return null;
    return inMoney ? Number((value / MICROS_PER_UNIT).toFixed(6)) : Number(value.toPrecision(12));
  };
}

/** Rows as text for the clipboard: a spreadsheet puts each cell where it belongs. */
export function asTabText({ headings, rows }: { headings: string[]; rows: Cell[][] }): string {
  const plain = (cell: Cell) => String(cell ?? '').replace(/[\t\r\n]+/g, ' ');
  return [headings, ...rows].map((row) => row.map(plain).join('\t')).join('\n');
}
