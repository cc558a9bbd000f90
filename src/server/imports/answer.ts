import type { ImportAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import { fieldsOf, headingSet, REPORT_SPECS } from '../../connect/reports';
import { TABLE_SPECS } from '../../connect/tables';
import { findImport, keepHeadingMatch, listImports, listRefused } from '../../db/queries/imports';
import type { ImportRow } from '../../db/queries/imports';
import { FIELD_LABELS } from '../../contract/reportFields';
import type { ImportKind, ReportField, ReportKind, TableKind } from '../../contract/reportFields';
import Papa from 'papaparse';
import { db } from '../context/context';
import { neutralCell } from '../../connect/spreadsheet';

export function importAnswer(row: ImportRow): ImportAnswer {
  const { accountId, fileName, byName: _byName, ...rest } = row;
  return { ...rest, account: accountId, file: fileName, fields: fieldsOfKind(row.kind) };
}

function fieldsOfKind(kind: ImportKind): ReportField[] {
  return fieldsOf(kind in TABLE_SPECS ? TABLE_SPECS[kind as TableKind] : REPORT_SPECS[kind as ReportKind]);
}

/** @throws MowingError when there is no such import */
export async function needImport(importId: number): Promise<ImportRow> {
  const row = await findImport(db(), importId);
  if (!row) throw new MowingError('not-found', `There is no import ${importId}.`);
  return row;
}

export async function loadImports(accountId: number): Promise<ImportAnswer[]> {
  return (await listImports(db(), accountId)).map(importAnswer);
}

/** Lines and reasons of an import's refused rows as CSV. */
export async function refusedCsv(importId: number): Promise<string> {
  await needImport(importId);
  const rows = await listRefused(db(), importId);
  return Papa.unparse(
    {
      fields: ['line', 'reason', 'row'],
      data: rows.map((row) => [row.line, row.reason, neutralCell(row.text)]),
    },
    { newline: '\n' },
  );
}

/** Remembers which field each heading of an import's file means, for files with the same headings. */
export async function chooseHeadings(importId: number, matched: Record<string, string>): Promise<void> {
  const row = await needImport(importId);
  const faults = Object.entries(matched).flatMap(([heading, field]) => {
    if (!row.headings.includes(heading))
      return [{ where: `matched.${heading}`, what: `The file has no heading “${heading}”.` }];
    return field === '' || field in FIELD_LABELS
      ? []
      : [{ where: `matched.${heading}`, what: `There is no field “${field}”.` }];
  });
  if (faults.length > 0)
    throw new MowingError('bad-request', faults.map(({ what }) => what).join(' '), faults);
  await keepHeadingMatch(db(), row.accountId, row.kind, headingSet(row.headings), matched);
}
