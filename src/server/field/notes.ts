import type { Note } from '../../contract/field';
import { MowingError } from '../../contract/mowingError';
import { deleteNote, insertNote, listNotes } from '../../db/queries/notes';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** Notes on a thing, newest first. */
export async function loadNotes(accountId: number, subject: string): Promise<{ notes: Note[] }> {
  await needAccount(accountId);
  return { notes: await listNotes(db(), accountId, subject) };
}

/** Writes a note, dated with the account's present day. @returns its id */
export async function addNote(
  caller: Caller,
  accountId: number,
  subject: string,
  text: string,
): Promise<{ id: number }> {
  const account = await needAccount(accountId);
  return recorded(caller, accountId, async (tx, write) => {
    const id = await insertNote(tx, accountId, { subject, text, day: todayOf(account) });
    write({ what: 'write note', subject, to: text });
    return { id };
  });
}

/** Removes a note. @throws MowingError when it is gone already */
export async function removeNote(
  caller: Caller,
  accountId: number,
  id: number,
): Promise<{ removed: boolean }> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, write) => {
    if (!(await deleteNote(tx, accountId, id)))
      throw new MowingError('not-found', `There is no note ${id} any more.`);
    write({ what: 'remove note', subject: `note ${id}` });
    return { removed: true };
  });
}
