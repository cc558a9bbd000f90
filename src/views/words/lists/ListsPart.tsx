import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { formatCount } from '../../../core/units';
import { Head } from '../Head';
import type { WordsPartProps } from '../wordsPartProps';
import { ListBody } from './ListBody';
import { useNegativeLists } from './useNegativeLists';

/** Named lists of negatives that are kept over many campaigns. */
export function ListsPart({ account, tray }: WordsPartProps) {
  // What was staged, sent or lifted changes where the lists hold.
  const state = useNegativeLists(account.id, tray.changes.length + tray.sending.length);
  const { lists, list, isLoading, error, choose, keep } = state;
  return (
    <main style={{ overflow: 'auto', padding: '12px 16px' }}>
      {error ? (
        <p role="alert" className="over">
          {error.message}
        </p>
      ) : (
        <>
          <div className="bar" style={{ flexWrap: 'wrap', gap: 8, marginBottom: 8 }}>
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
          </div>
          {list ? (
            <ListBody key={list.id} account={account} tray={tray} state={state} list={list} />
          ) : (
            <Head>
              {isLoading
                ? 'Reading the lists …'
                : 'No list yet. A list holds negatives that many campaigns share; name one to begin.'}
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
      className="bar"
      style={{ gap: 6 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') return;
        onName(name.trim());
        setName('');
      }}
    >
      <input
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
