import { headingSet } from '../../connect/reports';
import type { FileHints } from '../../connect/reports';
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
  /** The days that its rows sum up, where it has no days itself. */
  period?: Window;
}

/** What is known of a file before it is read. */
export async function hintsOf(
  { id }: AccountRow,
  kind: ImportKind,
  { headingLine, period }: GivenFile,
): Promise<FileHints> {
  const matches = (await listHeadingMatches(db(), id, kind)) as FileHints['matches'];
  return { matches, headingLine, period };
}

/** Remembers the headings that the sender pointed at: the next file of this kind has them found by themselves. */
export async function keepPointedAt(
  accountId: number,
  kind: ImportKind,
  { headingLine }: GivenFile,
  headings: string[],
): Promise<void> {
  if (headingLine !== undefined) await keepHeadings(db(), accountId, kind, headingSet(headings));
}
