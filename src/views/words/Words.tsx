import type { PlainPartProps, WordsPartProps } from './wordsPartProps';
import type { ReactNode } from 'react';
import { formatCount, formatDay } from '../../core/units';
import { TroubleBoundary } from '../shared/TroubleBoundary';
import { useUrlState } from '../shared/urlState';
import { useWords } from '../shared/askWords/useWords';
import { CorePart } from './core/CorePart';
import { ListsPart } from './lists/ListsPart';
import { LossesPart } from './losses/LossesPart';
import { PartsPart } from './parts/PartsPart';
import { PreviewPart } from './preview/PreviewPart';
import { RankPart } from './rank/RankPart';
import { StandingPart } from './standing/StandingPart';
import { Columns, Empty, Loading, PartList, PlaceLink, Trouble } from '../shared/kit';
import { pageLink } from '../shared/frame/pages';
import type { PlaceProps } from '../shared/frame/place';
import { BRING_TERMS, NO_TERMS } from '../shared/words';
import { partLabel } from '../shared/frame/pages';

/** A part of the place: one that works on the terms of 90 days, or one that asks the server for its own figures. */
type WordsPlacePart = { name: string; label: string; does: string } & (
  | { Part: (props: WordsPartProps) => ReactNode }
  | { Plain: (props: PlainPartProps) => ReactNode }
);

const PARTS: WordsPlacePart[] = [
  { name: 'parts', label: 'Word parts', does: 'One to three words over all terms', Part: PartsPart },
  { name: 'core', label: 'Core lists', does: 'The terms that matter, and their homes', Part: CorePart },
  {
    name: 'rank',
    label: partLabel('words', 'rank'),
    does: 'Beside ads, and what it would cost',
    Plain: RankPart,
  },
  {
    name: 'losses',
    label: partLabel('words', 'losses'),
    does: 'What is lost on purpose',
    Plain: LossesPart,
  },
  {
    name: 'negatives',
    label: partLabel('words', 'negatives'),
    does: 'What they block, and what is odd',
    Part: StandingPart,
  },
  {
    name: 'lists',
    label: 'Negative lists',
    does: 'Kept over many campaigns',
    Part: ListsPart,
  },
  { name: 'preview', label: partLabel('words', 'preview'), does: 'Tried on past terms', Part: PreviewPart },
];

/** What shoppers typed, word by word: parts, core lists, negatives that stand, and what a keyword would catch. */
export function Place({ account, error, tray }: PlaceProps) {
  const { values, set } = useUrlState();
  const part = PARTS.find(({ name }) => name === values.get('part')) ?? PARTS[0];
  const isPlain = 'Plain' in part;
  const { loaded, error: fault } = useWords(account, !isPlain);
  const trouble = error ?? (isPlain ? null : fault);
  return (
    <Columns
      name="words"
      left={
        <PartList
          title="Words"
          label="Parts of words"
          entries={PARTS.map(({ name, ...rest }) => ({ key: name, ...rest }))}
          current={part.name}
          onChoose={(name) => set({ part: String(name) })}
        >
          {loaded && !isPlain && (
            <p className="note">
              {formatCount(loaded.terms)} terms of {formatDay(loaded.window.from)} –{' '}
              {formatDay(loaded.window.to)}; spellings that match alike count as one. Blocked terms are left
              out.
              {loaded.isCut && ' Terms without a click are left out too: there are too many.'}
            </p>
          )}
        </PartList>
      }
    >
      {trouble ? (
        <main className="page">
          <Trouble error={trouble} />
        </main>
      ) : isPlain ? (
        account && (
          <TroubleBoundary key={`${account.id} ${part.name}`}>
            <part.Plain account={account} tray={tray} />
          </TroubleBoundary>
        )
      ) : loaded && account ? (
        <TroubleBoundary key={`${account.id} ${part.name}`}>
          <part.Part account={account} loaded={loaded} tray={tray} />
        </TroubleBoundary>
      ) : (
        <main className="page">
          {account && account.lastDay === null ? (
            <Empty
              why="Words are taken from what shoppers typed: from the search-term report."
              next={<PlaceLink href={pageLink('setup', account.id)}>{BRING_TERMS}</PlaceLink>}
            >
              {NO_TERMS}
            </Empty>
          ) : (
            <Loading>Reading 90 days of search terms …</Loading>
          )}
        </main>
      )}
    </Columns>
  );
}
