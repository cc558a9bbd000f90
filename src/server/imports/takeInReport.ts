import type { Caller } from '../trail';
import { closeImport, openImport } from './openImport';
import { asText } from '../../connect/spreadsheet';
import { MowingError } from '../../contract/mowingError';
import type { ReportField, ReportKind } from '../../contract/reportFields';
import { headingSet, readReport, REPORT_SPECS } from '../../connect/reports';
import type {
  FileShape,
  HeadingMatch,
  ReportReceiver,
  ReportResult,
  ReportSpec,
} from '../../connect/reports';
import type { Query, Transaction } from '../../db/connection';
import type { AccountRow } from '../../db/queries/accounts';
import { findHeadingMatch, touchImport } from '../../db/queries/imports';
import type { ImportEnd, RefusedRow } from '../../db/queries/imports';
import { db, log } from '../context/context';
import { todayOf } from '../accounts/today';
import { importMessage, refusedMessage } from './importMessage';
import { SegmentWriter } from './segmentWriter';
import { StagedImport } from './stagedImport';
import type { ImportResult } from './stagedImport';
import { withOwnClient } from './withOwnClient';

/** Refused rows that are kept with reason and text; more are counted only. */
const MOST_REFUSED_LISTED = 50_000;
const TELL_EVERY_MS = 700;
/** Rows that are handed to the database at once; two such segments are in memory at most. */
const SEGMENT_ROWS = 50_000;

/** What reading has found so far. */
interface Notes {
  shape: FileShape | null;
  match: HeadingMatch | null;
  refused: RefusedRow[];
  refusedCount: number;
  bytes: number;
  rows: number;
}

const newNotes = (): Notes => ({ shape: null, match: null, refused: [], refusedCount: 0, bytes: 0, rows: 0 });

/** Who is told while a report is read. */
interface Watcher {
  onProgress: (bytes: number, rows: number) => void;
  onWriting: (bytes: number, rows: number) => Promise<void>;
}

/**
 * Takes in a report: reads it, keeps the good rows in one transaction, lists the bad ones.
 * @param segmentRows rows handed to the database at once
 * @returns the id of the import, whose row tells what became of it; faults of the file do not throw
 */
export async function takeInReport(
  caller: Caller,
  account: AccountRow,
  kind: ReportKind,
  source: AsyncIterable<Uint8Array>,
  file: { name: string | null; bytes: number | null },
  segmentRows = SEGMENT_ROWS,
): Promise<number> {
  const importId = await openImport(caller, account.id, kind, file);
  const notes = newNotes();
  const startedAt = Date.now();
  let end: ImportEnd;
  try {
    end = await readAndWrite(
      account,
      REPORT_SPECS[kind],
      asText(source),
      notes,
      watcherOf(importId),
      segmentRows,
    );
  } catch (error) {
    if (!(error instanceof MowingError)) log().error({ err: error, importId }, 'import failed');
    end = { ...blankEnd(kind, notes), state: 'refused', message: refusedMessage(error) };
  }
  await closeImport(account.id, importId, end, notes.refused);
  const { state, read, kept } = end;
  log().info(
    { importId, account: account.id, kind, state, read, kept, ms: Date.now() - startedAt },
    'import',
  );
  return importId;
}

/**
 * Takes in a report that came from the account's market, whole or not at all: a row that is refused is a fault of the
 * connection, not of a user.
 * @param alongside what else is to be written in the same transaction
 * @throws MowingError when anything in it cannot be trusted; then nothing was kept
 */
export async function takeInFromMarket(
  account: AccountRow,
  kind: ReportKind,
  source: AsyncIterable<Uint8Array>,
  alongside: (tx: Query) => Promise<void>,
): Promise<ImportResult> {
  const notes = newNotes();
  const quiet: Watcher = { onProgress: () => {}, onWriting: async () => {} };
  return withOwnClient(async (tx) => {
    const spec = REPORT_SPECS[kind];
    const read = await stage(tx, account, spec, source, notes, quiet, SEGMENT_ROWS);
    if (read === null) throw marketFault(`has no column for ${notes.match!.missing.join(', ')}`);
    const [bad] = [...notes.refused, ...read.result.listed];
    if (bad) throw marketFault(`has a row that makes no sense (line ${bad.line}: ${bad.reason})`);
    await alongside(tx);
    return read.result;
  });
}

const marketFault = (what: string) =>
  new MowingError(
    'market-refused',
    `The market’s report ${what}. Nothing of it was kept; it is asked for again.`,
  );

function watcherOf(importId: number): Watcher {
  let toldAt = Date.now();
  return {
    onProgress: (bytesRead, read) => {
      if (Date.now() - toldAt < TELL_EVERY_MS) return;
      toldAt = Date.now();
      touchImport(db(), importId, { state: 'reading', bytesRead, read }).catch((error) => log().warn(error));
    },
    onWriting: (bytesRead, read) => touchImport(db(), importId, { state: 'writing', bytesRead, read }),
  };
}

async function readAndWrite(
  account: AccountRow,
  spec: ReportSpec,
  source: AsyncIterable<Uint8Array>,
  notes: Notes,
  watcher: Watcher,
  segmentRows: number,
): Promise<ImportEnd> {
  return withOwnClient(async (tx) => {
    const read = await stage(tx, account, spec, source, notes, watcher, segmentRows);
    return read === null ? mappingEnd(spec.kind, notes) : doneEnd(spec.kind, notes, read.report, read.result);
  });
}

/** Reads a file into the account's tables. Null when its headings have to be matched first. */
async function stage(
  tx: Transaction,
  account: AccountRow,
  spec: ReportSpec,
  source: AsyncIterable<Uint8Array>,
  notes: Notes,
  watcher: Watcher,
  segmentRows: number,
): Promise<{ report: ReportResult; result: ImportResult } | null> {
  const writer = new SegmentWriter(spec, segmentRows);
  const staged = new StagedImport(tx, account.id, spec);
  try {
    const report = await readReport(source, receiver(account, spec, writer, staged, notes, watcher));
    if (report === 'needs-mapping') return null;
    const rest = writer.takeRest();
    if (rest) await staged.put(rest);
    await watcher.onWriting(notes.bytes, notes.rows);
    return { report, result: await staged.finish() };
  } catch (error) {
    await staged.settle();
    throw error;
  }
}

function receiver(
  account: AccountRow,
  spec: ReportSpec,
  writer: SegmentWriter,
  staged: StagedImport,
  notes: Notes,
  watcher: Watcher,
): ReportReceiver {
  return {
    spec,
    currency: account.currency,
    lastDay: todayOf(account),
    recallMatch: (headings) =>
      findHeadingMatch(db(), account.id, spec.kind, headingSet(headings)) as Promise<
        Record<string, ReportField | ''>
      >,
    onHeadings: async (shape, match) => {
      notes.shape = shape;
      notes.match = match;
      return match.missing.length === 0;
    },
    onRow: (row, line) => writer.add(row, line),
    onKnownRow: (row, line) => writer.addKnown(row, line),
    onPiece: async () => {
      const segment = writer.takeFull();
      if (segment) await staged.put(segment);
    },
    onRefused: (line, reason, fields) => {
      notes.refusedCount += 1;
      if (notes.refused.length < MOST_REFUSED_LISTED)
        notes.refused.push({ line, reason, text: fields.join(notes.shape?.delimiter ?? ',').slice(0, 1000) });
    },
    onProgress: (bytes, rows) => {
      notes.bytes = bytes;
      notes.rows = rows;
      watcher.onProgress(bytes, rows);
    },
  };
}

function blankEnd(kind: ReportKind, notes: Notes): ImportEnd {
  const { shape, match } = notes;
  const matched = Object.entries(match?.columns ?? {}).map(([field, column]) => [
    shape!.headings[column],
    field,
  ]);
  const { placeIds, place } = REPORT_SPECS[kind];
  return {
    state: 'refused',
    read: notes.rows,
    kept: 0,
    unchanged: 0,
    refused: notes.refusedCount,
    headings: shape?.headings ?? [],
    matched: Object.fromEntries(matched),
    unmatched: match?.missing ?? [],
    byName:
      match !== null &&
      place !== 'product' &&
      placeIds.slice(0, 2).some((field) => match.columns[field] === undefined),
    firstDay: null,
    lastDay: null,
    message: '',
  };
}

function mappingEnd(kind: ReportKind, notes: Notes): ImportEnd {
  const end: ImportEnd = { ...blankEnd(kind, notes), state: 'needs-mapping' };
  return { ...end, message: importMessage(kind, end, '') };
}

function doneEnd(kind: ReportKind, notes: Notes, report: ReportResult, result: ImportResult): ImportEnd {
  for (const { line, reason } of result.listed) notes.refused.push({ line, reason, text: '' });
  const { kept, unchanged } = result;
  const { firstDay, lastDay } = kept + unchanged > 0 ? result : { firstDay: null, lastDay: null };
  const end: ImportEnd = {
    ...blankEnd(kind, notes),
    state: kept + unchanged === 0 ? 'refused' : 'done',
    read: report.read,
    kept,
    unchanged,
    refused: notes.refusedCount + result.refused,
    firstDay,
    lastDay,
  };
  return { ...end, message: importMessage(kind, end, report.remark) };
}
