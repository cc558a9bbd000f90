import { raiseRevision } from '../../db/queries/accounts';
import { finishImport, insertImport, insertRefused, touchImport } from '../../db/queries/imports';
import type { ImportEnd, ImportState } from '../../db/queries/imports';
import type { ImportKind } from '../../contract/reportFields';
import type { Query } from '../../db/connection';
import { db, log, programNo } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** Writes down that a file comes in, and who sent it. @returns the id of the import */
export async function openImport(
  caller: Caller,
  accountId: number,
  kind: ImportKind,
  file: { name: string | null; bytes: number | null },
): Promise<number> {
  const program = await programNo();
  return recorded(caller, accountId, async (tx, note) => {
    const start = { accountId, kind, fileName: file.name, bytesTotal: file.bytes };
    const id = await insertImport(tx, start, program);
    note({ what: 'import', subject: `import ${id}`, to: { kind, ...file } });
    return id;
  });
}

const SIGN_OF_LIFE_MS = 10_000;

/** Shows that an import is in hand even while nothing of its file comes. @returns what ends it */
export function showInHand(
  importId: number,
  at: () => { state: ImportState; bytesRead: number; read: number },
): () => void {
  const timer = setInterval(() => {
    touchImport(db(), importId, at()).catch((error: unknown) =>
      log().warn({ err: error }, 'no sign of life'),
    );
  }, SIGN_OF_LIFE_MS);
  return () => clearInterval(timer);
}

/**
 * Writes down what became of it; open pages learn of new figures. In the transaction that kept its rows: whoever reads that it is through finds
 * them, and an end in between leaves neither.
 */
export async function closeImport(
  tx: Query,
  accountId: number,
  importId: number,
  end: ImportEnd,
  refused: Parameters<typeof insertRefused>[3],
): Promise<void> {
  if (end.kept > 0) await raiseRevision(tx, accountId);
  await insertRefused(tx, accountId, importId, refused);
  await finishImport(tx, importId, end);
}
