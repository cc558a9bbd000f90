import type { WordsPartProps } from './wordsPartProps';
import type { ReactNode } from 'react';
import { formatCount, formatDay } from '../../core/units';
import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { PartList } from '../shared/frame/PartList';
import { Trouble } from '../shared/Trouble';
import { TroubleBoundary } from '../shared/TroubleBoundary';
import { useAccount } from '../shared/useAccount';
import { useUrlState } from '../shared/urlState';
import { useWords } from '../shared/wordsEngine/useWords';
import { CorePart } from './core/CorePart';
import { ListsPart } from './lists/ListsPart';
import { PartsPart } from './parts/PartsPart';
import { PreviewPart } from './preview/PreviewPart';
import { StandingPart } from './standing/StandingPart';

const PARTS: { name: string; label: string; does: string; Part: (props: WordsPartProps) => ReactNode }[] = [
  { name: 'parts', label: 'Word parts', does: 'One to three words over all terms', Part: PartsPart },
  { name: 'core', label: 'Core lists', does: 'The terms that matter, and their homes', Part: CorePart },
  {
    name: 'negatives',
    label: 'Negatives that stand',
    does: 'What they block, and what is odd',
    Part: StandingPart,
  },
  {
    name: 'lists',
    label: 'Negative lists',
    does: 'Kept over many campaigns',
    Part: ListsPart,
  },
  { name: 'preview', label: 'What a keyword catches', does: 'Tried on past terms', Part: PreviewPart },
];

export function WordsPlace() {
  return (
    <App>
      <Words />
    </App>
  );
}

/** What shoppers typed, word by word: parts, core lists, negatives that stand, and what a keyword would catch. */
function Words() {
  const { values, set } = useUrlState();
  const { accounts, account, error } = useAccount(values.get('account'));
  const { loaded, error: fault } = useWords(account, true);
  const part = PARTS.find(({ name }) => name === values.get('part')) ?? PARTS[0];
  const trouble = error ?? fault;
  return (
    <Frame place="words" accounts={accounts} account={account}>
      {(tray) => (
        <div style={{ display: 'grid', gridTemplateColumns: '224px minmax(0, 1fr)', minHeight: 0 }}>
          <PartList
            title="Words"
            label="Parts of words"
            entries={PARTS.map(({ name, ...rest }) => ({ key: name, ...rest }))}
            current={part.name}
            onChoose={(name) => set({ part: String(name) })}
          >
            {loaded && (
              <p className="faint" style={{ margin: '14px 16px' }}>
                {formatCount(loaded.terms)} terms of {formatDay(loaded.window.from)} –{' '}
                {formatDay(loaded.window.to)}; spellings that match alike count as one. Parts leave out what
                is blocked already.
              </p>
            )}
          </PartList>
          {trouble ? (
            <main style={{ padding: 24 }}>
              <Trouble error={trouble} />
            </main>
          ) : loaded && account ? (
            <TroubleBoundary key={`${account.id} ${part.name}`}>
              <part.Part account={account} loaded={loaded} tray={tray} />
            </TroubleBoundary>
          ) : (
            <main style={{ padding: 24 }}>
              <p role="status" className="faint">
                {account && account.lastDay === null
                  ? 'There are no search terms yet. They come with a sync, or with a report under Setup.'
                  : 'Reading 90 days of search terms …'}
              </p>
            </main>
          )}
        </div>
      )}
    </Frame>
  );
}
