import { headingSet } from '../../connect/reports';
import type { DayOrder, DecimalMark, FileHints } from '../../connect/reports';
import type { ImportKind } from '../../contract/reportFields';
import type { Window } from '../../core/windows';
import type { AccountRow } from '../../db/queries/accounts';
import { keepHeadings, listHeadingMatches } from '../../db/queries/imports';
import { db } from '../context/context';

/** A file that is sent, and what its sender says of it. */
export interface GivenFile {
  name: string | null;
  bytes: number | null;
  /** Which of its lines with text holds the headings, from 1; they are remembered. */
  headingLine?: number;
  /** How its amounts and days in numbers are written, where it does not tell; remembered too. */
  decimals?: DecimalMark;
  dayOrder?: DayOrder;
  /** Waits until all of it has come in: nothing is locked before. Left out: it is here. */
  whole?: () => Promise<void>;
  /** The days that its rows sum up, where it has no days itself. */
  period?: Window;
}

/** What is known of a file before it is read. */
export async function hintsOf(
  { id }: AccountRow,
  kind: ImportKind,
  { headingLine, period, decimals, dayOrder }: GivenFile,
): Promise<FileHints> {
  const met = (await listHeadingMatches(db(), id, kind)) as FileHints['met'];
  return { met, headingLine, period, decimals, dayOrder };
}

/** Remembers what the sender said of the file: the next one with these headings has its line found, and is read the same way. */
export async function keepPointedAt(
  accountId: number,
  kind: ImportKind,
  { headingLine, decimals, dayOrder }: GivenFile,
  headings: string[],
): Promise<void> {
  if (headings.length > 0 && (headingLine ?? decimals ?? dayOrder) !== undefined)
    await keepHeadings(db(), accountId, kind, headingSet(headings), {
      decimals: decimals ?? null,
      dayOrder: dayOrder ?? null,
    });
}
