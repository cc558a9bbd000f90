import type { Caller } from '../trail';
import { closeImport, openImport, showInHand } from './openImport';
import { asText } from '../../connect/spreadsheet';
import { MowingError } from '../../contract/mowingError';
import type { ReportKind } from '../../contract/reportFields';
import { readReport, REPORT_SPECS } from '../../connect/reports';
import type { FileHints, ReportReceiver, ReportResult, ReportSpec } from '../../connect/reports';
import type { Query, Transaction } from '../../db/connection';
import type { AccountRow } from '../../db/queries/accounts';
import { factTable } from '../../db/queries/factTables';
import { refreshStatisticsOf } from '../../db/queries/statistics';
import { touchImport } from '../../db/queries/imports';
import { findCoverage } from '../../db/queries/coverage';
import type { ImportEnd, ImportState } from '../../db/queries/imports';
import { db, log } from '../context/context';
import { withOwnClient } from '../context/ownClient';
import { todayOf } from '../accounts/today';
import { refusedMessage } from './importMessage';
import { hintsOf, keepPointedAt } from './givenFile';
import type { GivenFile } from './givenFile';
import { keepStructure } from './keepStructure';
import { doneEnd, endOfReport, newNotes } from './reportEnd';
import type { Notes } from './reportEnd';
import { SegmentWriter } from './segmentWriter';
import { StagedImport } from './stagedImport';
import type { ImportResult } from './stagedImport';

/** Refused rows that are kept with reason and text; more are counted only. */
const MOST_REFUSED_LISTED = 50_000;
const TELL_EVERY_MS = 700;
/** Rows that are handed to the database at once; a few such segments are in memory. */
const SEGMENT_ROWS = 50_000;
/** So many new rows can make another way to an answer the quicker one. */
const MANY_ROWS = 20_000;

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
  file: GivenFile,
  segmentRows = SEGMENT_ROWS,
): Promise<number> {
  const importId = await openImport(caller, account.id, kind, file);
  const notes = newNotes();
  const startedAt = Date.now();
  let end: ImportEnd;
  let state: ImportState = 'reading';
  const letGo = showInHand(importId, () => ({ state, bytesRead: notes.bytes, read: notes.rows }));
  try {
    const reading = {
      account,
      spec: REPORT_SPECS[kind],
      source: asText(source),
      hints: await hintsOf(account, kind, file),
      notes,
      watcher: watcherOf(importId, () => (state = 'writing')),
      segmentRows,
      whole: file.whole,
    };
    end = await readAndWrite(importId, reading, file);
  } catch (error) {
    if (!(error instanceof MowingError)) log().error({ err: error, importId }, 'import failed');
    end = { ...endOfReport(kind, notes, 'refused'), message: refusedMessage(error) };
    await db().begin((tx) => closeImport(tx, account.id, importId, end, notes.refused));
  } finally {
    letGo();
  }
  const { read, kept, firstDay, lastDay } = end;
  // A database that does not know how much came in answers the first questions by long ways.
  if (kept >= MANY_ROWS && firstDay !== null && lastDay !== null)
    await refreshStatisticsOf(db(), factTable(kind), { from: firstDay, to: lastDay }).catch((error) =>
      log().warn(error),
    );
  log().info(
    { importId, account: account.id, kind, state: end.state, read, kept, ms: Date.now() - startedAt },
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
    const hints = { met: new Map() };
    const read = await stage(tx, {
      account,
      spec,
      source,
      hints,
      notes,
      watcher: quiet,
      segmentRows: SEGMENT_ROWS,
    });
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

function watcherOf(importId: number, writes: () => void): Watcher {
  let toldAt = Date.now();
  return {
    onProgress: (bytesRead, read) => {
      if (Date.now() - toldAt < TELL_EVERY_MS) return;
      toldAt = Date.now();
      touchImport(db(), importId, { state: 'reading', bytesRead, read }).catch((error) => log().warn(error));
    },
    onWriting: (bytesRead, read) => {
      writes();
      return touchImport(db(), importId, { state: 'writing', bytesRead, read });
    },
  };
}

/** A report as it is read. */
interface Reading {
  account: AccountRow;
  spec: ReportSpec;
  source: AsyncIterable<Uint8Array>;
  hints: FileHints;
  notes: Notes;
  watcher: Watcher;
  segmentRows: number;
  whole?: () => Promise<void>;
}

async function readAndWrite(importId: number, reading: Reading, file: GivenFile): Promise<ImportEnd> {
  const { account, spec, notes } = reading;
  return withOwnClient(async (tx) => {
    const end = await keepRows(tx, reading);
    await keepPointedAt(account.id, spec.kind, file, end.headings);
    await closeImport(tx, account.id, importId, end, notes.refused);
    return end;
  });
}

async function keepRows(tx: Transaction, reading: Reading): Promise<ImportEnd> {
  const { account, spec, notes } = reading;
  const newest = await findCoverage(tx, account.id, spec.kind);
  const read = await stage(tx, reading);
  if (read === null) return endOfReport(spec.kind, notes, 'needs-mapping');
  const structure = await keepStructure(tx, account, spec, read.writer.latest, read.staged, newest?.lastDay);
  const remark = `${read.report.remark} ${structure}`.trim();
  return doneEnd(spec.kind, notes, read.result, { ...read.report, remark });
}

/** Reads a file into the account's tables. Null when its headings have to be matched first. */
async function stage(
  tx: Transaction,
  { account, spec, source, hints, notes, watcher, segmentRows, whole }: Reading,
): Promise<{
  report: ReportResult;
  result: ImportResult;
  writer: SegmentWriter;
  staged: StagedImport;
} | null> {
  const writer = new SegmentWriter(spec, segmentRows);
  const staged = new StagedImport(tx, account.id, spec, whole);
  try {
    const report = await readReport(
      source,
      receiver({ account, spec, hints, notes, watcher }, writer, staged),
    );
    if (report === 'needs-mapping') return null;
    const rest = writer.takeRest();
    if (rest) await staged.put(rest);
    await watcher.onWriting(notes.bytes, notes.rows);
    return { report, result: await staged.finish(), writer, staged };
  } catch (error) {
    await staged.settle();
    throw error;
  }
}

function receiver(
  { account, spec, hints, notes, watcher }: Omit<Reading, 'source' | 'segmentRows' | 'whole'>,
  writer: SegmentWriter,
  staged: StagedImport,
): ReportReceiver {
  return {
    spec,
    currency: account.currency,
    lastDay: todayOf(account),
    hints,
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
