import { noteRequest, notesQuery, removalQuery } from '../../contract/schemas';
import { addNote, loadNotes, removeNote } from '../../server/field/notes';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const { account, subject } = readQuery<{ account: number; subject: string }>(context, notesQuery);
  return loadNotes(account, subject);
});

export const POST = endpoint(async (context) => {
  const { account, subject, text } = await readBody<{ account: number; subject: string; text: string }>(
    context,
    noteRequest,
  );
  return addNote(account, subject, text);
});

export const DELETE = endpoint(async (context) => {
  const { account, id } = readQuery<{ account: number; id: number }>(context, removalQuery);
  return removeNote(account, id);
});
