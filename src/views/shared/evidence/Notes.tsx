import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { formatDay } from '../../../core/units';
import { api } from '../api';
import { TextBox } from '../kit';

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
      <Box component="h3" sx={{ margin: '14px 0 4px', fontSize: 12.5, fontWeight: 650 }}>
        Notes
      </Box>
      {data?.notes.map((note) => (
        <Box component="p" key={note.id} sx={{ margin: '2px 0', overflowWrap: 'anywhere' }}>
          <span className="faint">{formatDay(note.day)}</span> {note.text}{' '}
          <Button
            data-may="decide"
            variant="quiet"
            aria-label={`Remove the note “${note.text}”`}
            onClick={() => remove.mutate(note.id)}
          >
            remove
          </Button>
        </Box>
      ))}
      <Box
        component="form"
        data-may="decide"
        sx={{ display: 'flex', gap: '6px' }}
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== '') add.mutate();
        }}
      >
        <TextBox
          aria-label="New note"
          placeholder="Write a note"
          value={text}
          maxLength={2000}
          isWide
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" disabled={text.trim() === '' || add.isPending}>
          Keep
        </Button>
      </Box>
      {fault && (
        <p role="alert" className="over">
          {fault.message}
        </p>
      )}
    </section>
  );
}
