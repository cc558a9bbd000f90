import { noteRequest, notesQuery, removalQuery } from '../../contract/schemas';
import { addNote, loadNotes, removeNote } from '../../server/field/notes';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: notesQuery,
  run: ({ query: { account, subject } }) => loadNotes(account, subject),
});

export const POST = endpoint({
  may: 'decide',
  body: noteRequest,
  run: ({ body: { account, subject, text }, caller }) => addNote(caller, account, subject, text),
});

export const DELETE = endpoint({
  may: 'decide',
  query: removalQuery,
  run: ({ query: { account, id }, caller }) => removeNote(caller, account, id),
});
