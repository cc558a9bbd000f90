import type { DataExportQuery } from '../../contract/requests';
import { csvLine, writeWorkbook, XLSX_TYPE } from '../../connect/spreadsheet';
import { IMPORT_LABELS } from '../../contract/reportFields';
import { readExport } from '../../db/queries/exports';
import type { ExportRows } from '../../db/queries/exports';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** What is to be given out. */
/** A file of a report or list, in the format in which it is taken in. */
export async function exportData({ account: accountId, kind, format, from, to }: DataExportQuery) {
  const account = await needAccount(accountId);
  const span = from !== undefined && to !== undefined ? { from, to } : null;
  const rows = await readExport(db(), accountId, kind, span);
  const name = `${account.name} ${IMPORT_LABELS[kind]}${span ? ` ${span.from} to ${span.to}` : ''}`.replace(
    /[^\w -]+/g,
    '',
  );
  return format === 'xlsx'
    ? {
        name: `${name}.xlsx`,
        type: XLSX_TYPE,
        body: writeWorkbook(IMPORT_LABELS[kind].slice(0, 31), rows.headings, cells(rows)),
      }
    : { name: `${name}.csv`, type: 'text/csv; charset=utf-8', body: csvBytes(rows) };
}

const NUMBER = /^-?\d+(\.\d+)?$/;
/** Columns whose figures are names: a code of digits must not lose its zeros. */
const NAMES = /ID$|code|SKU|Search term|Target$|Name|Campaign$|Ad group$|Product$/;

async function* cells({ headings, blocks }: ExportRows): AsyncGenerator<(string | number)[]> {
  const isName = headings.map((heading) => NAMES.test(heading));
  for await (const block of blocks)
    for (const row of block)
      yield row.map((cell, at) => {
        if (cell === null) return '';
        return typeof cell === 'string' && !isName[at] && NUMBER.test(cell) ? Number(cell) : cell;
      });
}

async function* csvBytes({ headings, blocks }: ExportRows): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  yield encoder.encode(`${headings.join(',')}\n`);
  for await (const block of blocks) yield encoder.encode(block.map(csvLine).join(''));
}
