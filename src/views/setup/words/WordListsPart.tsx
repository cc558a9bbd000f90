import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';
import { useState } from 'react';
import type { WordLists } from '../../../core/matching';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../../shared/api';
import { PartHead } from '../PartHead';
import { TextBox } from '../../shared/kit';

const LISTS: { list: keyof WordLists; label: string; does: string }[] = [
  { list: 'own', label: 'Own brand', does: 'Names of the account’s own brand and products.' },
  { list: 'rival', label: 'Rival brands', does: 'Names of other sellers and their products.' },
  {
    list: 'unwanted',
    label: 'Never wanted',
    does: 'Nobody who types this buys here: terms that hold it are proposed as negatives at once.',
  },
];

/** Words that tell search terms apart: brands, and what is never wanted. */
export function WordListsPart({ account }: { account: AccountInfo }) {
  const { data, error } = useQuery({
    queryKey: ['word-lists', account.id],
    queryFn: () => api.wordLists(account.id),
  });
  return (
    <>
      <PartHead title="Brands and words">
        One word or phrase a line, found in a term as whole words in that order; plurals and accents make no
        difference. Terms show their kind, and conditions can use it.
      </PartHead>
      {error && (
        <p role="alert" className="over">
          {error.message}
        </p>
      )}
      {data && <ListsForm key={JSON.stringify(data.lists)} account={account} lists={data.lists} />}
    </>
  );
}

const asText = (lists: WordLists) => ({
  own: lists.own.join('\n'),
  rival: lists.rival.join('\n'),
  unwanted: lists.unwanted.join('\n'),
});

const linesOf = (text: string) =>
  text
    .split(/[\n,;\t]+/)
    .map((line) => line.trim())
    .filter(Boolean);

function ListsForm({ account, lists }: { account: AccountInfo; lists: WordLists }) {
  const client = useQueryClient();
  const tell = useTell();
  const [texts, setTexts] = useState(() => asText(lists));
  const keep = useMutation({
    mutationFn: (next: WordLists) => api.keepWordLists(account.id, next),
    onSuccess: async (answer) => {
      client.setQueryData(['word-lists', account.id], answer);
      tell('Kept. Terms are sorted by these words from now on.');
      await client.invalidateQueries({
        predicate: ({ queryKey }) => ['review', 'tree'].includes(String(queryKey[0])),
      });
    },
    onError: (fault: Error) => tell(fault.message, { kind: 'fault' }),
  });
  const isChanged = LISTS.some(({ list }) => texts[list] !== asText(lists)[list]);
  return (
    <form
      aria-label="Brands and words"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate({
          own: linesOf(texts.own),
          rival: linesOf(texts.rival),
          unwanted: linesOf(texts.unwanted),
        });
      }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 320px))', gap: '24px' }}>
        {LISTS.map(({ list, label, does }) => (
          <Box component="label" key={list} sx={{ display: 'grid', gap: '4px', alignContent: 'start' }}>
            <Box component="strong" sx={{ fontWeight: 600 }}>
              {label} <span className="faint">{linesOf(texts[list]).length || ''}</span>
            </Box>
            <Box component="span" className="faint" sx={{ minHeight: 54 }}>
              {does}
            </Box>
            <TextBox
              isWide
              aria-label={label}
              lines={14}
              value={texts[list]}
              spellCheck={false}
              onChange={(event) => setTexts({ ...texts, [list]: event.target.value })}
            />
          </Box>
        ))}
      </Box>
      <p className="bar">
        <Button type="submit" variant="contained" disabled={!isChanged || keep.isPending}>
          Keep the lists
        </Button>
        {isChanged && <Button onClick={() => setTexts(asText(lists))}>Discard my edits</Button>}
      </p>
    </form>
  );
}
