import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { formatDay } from '../../../core/units';
import { api } from '../api';

/** What the specialist wrote down about a row. */
export function Notes({ account, subject }: { account: number; subject: string }) {
  const client = useQueryClient();
  const key = ['notes', account, subject];
  const [text, setText] = useState('');
  const { data } = useQuery({ queryKey: key, queryFn: () => api.notes(account, subject) });
  const refresh = () => client.invalidateQueries({ queryKey: key });
  const add = useMutation({
    mutationFn: () => api.addNote(account, subject, text.trim()),
    onSuccess: () => {
      setText('');
      return refresh();
    },
  });
  const remove = useMutation({ mutationFn: (id: number) => api.removeNote(account, id), onSettled: refresh });
  const fault = add.error ?? remove.error;
  return (
    <section aria-label="Notes">
      <h3 style={{ margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 }}>Notes</h3>
      {data?.notes.map((note) => (
        <p key={note.id} style={{ margin: '2px 0', overflowWrap: 'anywhere' }}>
          <span className="faint">{formatDay(note.day)}</span> {note.text}{' '}
          <button
            type="button"
            className="link faint"
            aria-label={`Remove the note “${note.text}”`}
            onClick={() => remove.mutate(note.id)}
          >
            remove
          </button>
        </p>
      ))}
      <form
        style={{ display: 'flex', gap: 6 }}
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== '') add.mutate();
        }}
      >
        <input
          aria-label="New note"
          placeholder="Write a note"
          value={text}
          maxLength={2000}
          style={{ flex: 1, minWidth: 0 }}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" disabled={text.trim() === '' || add.isPending}>
          Keep
        </Button>
      </form>
      {fault && (
        <p role="alert" className="over">
          {fault.message}
        </p>
      )}
    </section>
  );
}
