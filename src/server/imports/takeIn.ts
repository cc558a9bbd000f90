import { REPORT_KINDS } from '../../contract/reportFields';
import type { ImportKind, ReportKind, TableKind } from '../../contract/reportFields';
import type { AccountRow } from '../../db/queries/accounts';
import type { Caller } from '../trail';
import type { GivenFile } from './givenFile';
import { takeInReport } from './takeInReport';
import { takeInTable } from './takeInTable';

/** Takes in a file of any kind. @returns the id of the import, whose row tells what became of it */
export function takeIn(
  caller: Caller,
  account: AccountRow,
  kind: ImportKind,
  source: AsyncIterable<Uint8Array>,
  file: GivenFile,
): Promise<number> {
  return REPORT_KINDS.includes(kind as ReportKind)
    ? takeInReport(caller, account, kind as ReportKind, source, file)
    : takeInTable(caller, account, kind as TableKind, source, file);
}
