import type { Note } from '../../contract/field';
import { MowingError } from '../../contract/mowingError';
import { deleteNote, insertNote, listNotes } from '../../db/queries/notes';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';

/** Notes on a thing, newest first. */
export async function loadNotes(accountId: number, subject: string): Promise<{ notes: Note[] }> {
  await needAccount(accountId);
  return { notes: await listNotes(db(), accountId, subject) };
}

/** Writes a note, dated with the account's present day. @returns its id */
export async function addNote(accountId: number, subject: string, text: string): Promise<{ id: number }> {
  const account = await needAccount(accountId);
  return { id: await insertNote(db(), accountId, { subject, text, day: todayOf(account) }) };
}

/** Removes a note. @throws MowingError when it is gone already */
export async function removeNote(accountId: number, id: number): Promise<{ removed: boolean }> {
  if (!(await deleteNote(db(), accountId, id)))
    throw new MowingError('not-found', `There is no note ${id} any more.`);
  return { removed: true };
}
