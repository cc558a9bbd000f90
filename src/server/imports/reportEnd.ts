import { REPORT_SPECS } from '../../connect/reports';
import type { FileShape, HeadingMatch, ReportResult } from '../../connect/reports';
import type { ReportKind } from '../../contract/reportFields';
import type { ImportEnd, RefusedRow } from '../../db/queries/imports';
import { importMessage } from './importMessage';
import type { ImportResult } from './stagedImport';

/** What reading a report has found so far. */
export interface Notes {
  shape: FileShape | null;
  match: HeadingMatch | null;
  refused: RefusedRow[];
  refusedCount: number;
  bytes: number;
  rows: number;
}

export const newNotes = (): Notes => ({
  shape: null,
  match: null,
  refused: [],
  refusedCount: 0,
  bytes: 0,
  rows: 0,
});

/** What a report came to of which nothing was kept: its headings have to be matched, or it was refused. */
export function endOfReport(
  kind: ReportKind,
  { shape, match, rows, refusedCount }: Notes,
  state: 'needs-mapping' | 'refused',
): ImportEnd {
  const matched = Object.entries(match?.columns ?? {}).map(([field, column]) => [
    shape!.headings[column],
    field,
  ]);
  const { placeIds, place } = REPORT_SPECS[kind];
  const end: ImportEnd = {
    state,
    read: rows,
    kept: 0,
    unchanged: 0,
    refused: refusedCount,
    headings: shape?.headings ?? [],
    matched: Object.fromEntries(matched),
    unmatched: match?.missing ?? [],
    unread: match?.unread ?? [],
    asks: shape?.asks ?? { decimals: null, dayOrder: null },
    several: match?.several ?? [],
    sums: [],
    firstLines: shape?.firstLines ?? [],
    headingLine: shape === null ? null : shape.skip + 1,
    byName:
      match !== null &&
      place !== 'product' &&
      placeIds.slice(0, 2).some((field) => match.columns[field] === undefined),
    firstDay: null,
    lastDay: null,
    message: '',
  };
  return { ...end, message: state === 'refused' ? '' : importMessage(kind, end, '') };
}

/** What a report came to whose rows were written. */
export function doneEnd(
  kind: ReportKind,
  notes: Notes,
  result: ImportResult,
  { remark, read, sums }: ReportResult,
): ImportEnd {
  for (const { line, reason } of result.listed) notes.refused.push({ line, reason, text: '' });
  const { kept, unchanged } = result;
  const { firstDay, lastDay } = kept + unchanged > 0 ? result : { firstDay: null, lastDay: null };
  const end: ImportEnd = {
    ...endOfReport(kind, notes, 'refused'),
    state: kept + unchanged === 0 ? 'refused' : 'done',
    read,
    kept,
    unchanged,
    refused: notes.refusedCount + result.refused,
    firstDay,
    lastDay,
    sums: REPORT_SPECS[kind].figures.map(({ field }, at) => ({
      field,
      file: sums[at],
      kept: sums[at] - result.refusedSums[at],
    })),
  };
  return { ...end, message: importMessage(kind, end, remark) };
}
