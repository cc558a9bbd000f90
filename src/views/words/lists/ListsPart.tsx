import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { formatCount } from '../../../core/units';
import { Head } from '../Head';
import type { WordsPartProps } from '../wordsPartProps';
import { ListBody } from './ListBody';
import { useNegativeLists } from './useNegativeLists';
import { TextBox } from '../../shared/kit';

/** Named lists of negatives that are kept over many campaigns. */
export function ListsPart({ account, tray }: WordsPartProps) {
  // What was staged, sent or lifted changes where the lists hold.
  const state = useNegativeLists(account.id, tray.changes.length + tray.sending.length);
  const { lists, list, isLoading, error, choose, keep } = state;
  return (
    <main className="page">
      {error ? (
        <p role="alert" className="over">
          {error.message}
        </p>
      ) : (
        <>
          <Box className="bar" sx={{ flexWrap: 'wrap', gap: '8px', marginBottom: '8px' }}>
            {lists.length > 0 && (
              <ToggleButtonGroup
                size="small"
                exclusive
                value={list?.id}
                onChange={(_, next: number | null) => next !== null && choose(next)}
                aria-label="Lists"
              >
                {lists.map(({ id, name, missing, excess }) => (
                  <ToggleButton key={id} value={id} sx={{ padding: '1px 8px', textTransform: 'none' }}>
                    {name}
                    {missing.length + excess.length > 0 &&
                      ` ▲ ${formatCount(missing.length + excess.length)}`}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            )}
            <NewList onName={(name) => keep({ id: null, name, terms: [], campaignIds: [] })} />
          </Box>
          {list ? (
            <ListBody key={list.id} account={account} tray={tray} state={state} list={list} />
          ) : (
            <Head>
              {isLoading
                ? 'Reading the lists …'
                : 'No list yet. A list keeps the same negatives over many campaigns; name one to begin.'}
            </Head>
          )}
        </>
      )}
    </main>
  );
}

function NewList({ onName }: { onName: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <form
      data-may="decide"
      className="bar"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') return;
        onName(name.trim());
        setName('');
      }}
    >
      <TextBox
        aria-label="Name of a new list"
        placeholder="Name of a new list"
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" disabled={name.trim() === ''}>
        Make it
      </Button>
    </form>
  );
}
