import type { TrailAnswer } from '../../contract/people';
import { listAudit } from '../../db/queries/audit';
import type { AuditAsked } from '../../db/queries/audit';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { tableFile } from '../exports/tableFile';
import { withChanges } from './withChanges';

/** Lines that a page gets at once, and that a file holds. */
const MOST = { page: 100, file: 100_000 };

/** Of the changes of a line so many are put into words. */
const CHANGES_TOLD = { page: 3, file: 50 };

/** Who did what to an account, newest first. */
export async function loadTrail(
  accountId: number,
  asked: Omit<AuditAsked, 'most'> = {},
): Promise<TrailAnswer> {
  await needAccount(accountId);
  const lines = await listAudit(db(), accountId, { ...asked, most: MOST.page + 1 });
  const shown = await withChanges(accountId, lines.slice(0, MOST.page), CHANGES_TOLD.page);
  return { lines: shown, isCut: lines.length > MOST.page };
}

/** The same as a file, all of it. */
export async function trailFile(accountId: number, find: string | undefined, format: 'csv' | 'xlsx') {
  const { name } = await needAccount(accountId);
  const found = await listAudit(db(), accountId, { find, most: MOST.file });
  const lines = await withChanges(accountId, found, CHANGES_TOLD.file);
  const written = (value: unknown) => (value === null ? '' : JSON.stringify(value));
  const rows = lines.map(({ at, by, what, subject, name, from, to, changes }) => [
    new Date(at).toISOString(),
    by,
    what,
    subject,
    name,
    written(from),
    written(to),
    changes?.words.join('; ') ?? '',
  ]);
  return tableFile(
    {
      name: `Trail ${name}`,
      headings: ['at', 'by', 'what', 'subject', 'name', 'from', 'to', 'changes'],
      rows,
    },
    format,
  );
}
