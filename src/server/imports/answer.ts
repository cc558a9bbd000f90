import type { ImportAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import { fieldsOf, headingSet, REPORT_SPECS } from '../../connect/reports';
import { TABLE_SPECS } from '../../connect/tables';
import { findImport, keepHeadingMatch, listImports, listRefused } from '../../db/queries/imports';
import type { ImportRow } from '../../db/queries/imports';
import { FIELD_LABELS } from '../../contract/reportFields';
import type { ImportKind, ReportField, ReportKind, TableKind } from '../../contract/reportFields';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { canBeSummed } from './importMessage';
import { csvLine } from '../../connect/spreadsheet';

export function importAnswer(row: ImportRow): ImportAnswer {
  const { accountId, fileName, byName: _byName, ...rest } = row;
  const asksPeriod = row.unmatched.includes('day') && canBeSummed(row.kind);
  return { ...rest, account: accountId, file: fileName, fields: fieldsOfKind(row.kind), asksPeriod };
}

function fieldsOfKind(kind: ImportKind): ReportField[] {
  return fieldsOf(kind in TABLE_SPECS ? TABLE_SPECS[kind as TableKind] : REPORT_SPECS[kind as ReportKind]);
}

/** @throws MowingError when the account has no such import */
export async function needImport(accountId: number, importId: number): Promise<ImportRow> {
  const row = await findImport(db(), importId);
  if (row?.accountId !== accountId)
    throw new MowingError('not-found', `The account has no import ${importId}.`);
  return row;
}

export async function loadImports(accountId: number): Promise<ImportAnswer[]> {
  return (await listImports(db(), accountId)).map(importAnswer);
}

/** Lines and reasons of an import's refused rows as CSV. */
export async function refusedCsv(accountId: number, importId: number): Promise<string> {
  await needImport(accountId, importId);
  const rows = await listRefused(db(), importId);
  return [['line', 'reason', 'row'], ...rows.map(({ line, reason, text }) => [line, reason, text])]
    .map(csvLine)
    .join('');
}

/** Remembers which field each heading of an import's file means, for files with the same headings. */
export async function chooseHeadings(
  caller: Caller,
  accountId: number,
  importId: number,
  matched: Record<string, string>,
): Promise<void> {
  const row = await needImport(accountId, importId);
  const faults = Object.entries(matched).flatMap(([heading, field]) => {
    if (!row.headings.includes(heading))
      return [{ where: `matched.${heading}`, what: `The file has no heading “${heading}”.` }];
    return field === '' || field in FIELD_LABELS
      ? []
      : [{ where: `matched.${heading}`, what: `There is no field “${field}”.` }];
  });
  if (faults.length > 0)
    throw new MowingError('bad-request', faults.map(({ what }) => what).join(' '), faults);
  await recorded(caller, accountId, async (tx, note) => {
    await keepHeadingMatch(tx, row.accountId, row.kind, headingSet(row.headings), matched);
    note({ what: 'match headings', subject: `import ${importId}`, to: matched });
  });
}
