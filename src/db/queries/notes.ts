import type { Note } from '../../contract/field';
import type { Query } from '../connection';

/** Notes on a thing, newest first. */
export async function listNotes(sql: Query, accountId: number, subject: string): Promise<Note[]> {
  return sql<Note[]>`
    select note_id as id, text, day from mowing.note
    where account_id = ${accountId} and subject = ${subject} order by note_id desc`;
}

export async function insertNote(
  sql: Query,
  accountId: number,
  note: { subject: string; text: string; day: string },
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.note (account_id, subject, text, day)
    values (${accountId}, ${note.subject}, ${note.text}, ${note.day}) returning note_id as id`;
  return id;
}

export async function deleteNote(sql: Query, accountId: number, id: number): Promise<boolean> {
  const rows = await sql`
    delete from mowing.note where account_id = ${accountId} and note_id = ${id} returning 1`;
  return rows.length > 0;
}
