import { raiseRevision } from '../../db/queries/accounts';
import { finishImport, insertImport, insertRefused } from '../../db/queries/imports';
import type { ImportEnd } from '../../db/queries/imports';
import type { ImportKind } from '../../contract/reportFields';
import { db, programNo } from '../context/context';
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

/** Writes down what became of it; open pages learn of new figures. */
export async function closeImport(
  accountId: number,
  importId: number,
  end: ImportEnd,
  refused: Parameters<typeof insertRefused>[3],
): Promise<void> {
  await insertRefused(db(), accountId, importId, refused);
  await finishImport(db(), importId, end);
  if (end.kept > 0) await raiseRevision(db(), accountId);
}
