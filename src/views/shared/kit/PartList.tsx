import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import { Fragment } from 'react';
import type { ReactNode } from 'react';
import { FindIn, ShowMore } from './FindIn';
import { useShort } from './useShort';

/** One entry of the list on the left of a place. */
export interface PartEntry {
  key: string | number;
  label: ReactNode;
  /** What it is for, or how it stands, below its name. */
  does?: ReactNode;
  /** The key that goes there. */
  keys?: string;
  /** What it stands under in a long list, those of a group together; and what it is found by there. */
  group?: string;
  words?: string;
}

export interface PartListProps {
  title: string;
  label: string;
  entries: readonly PartEntry[];
  current: PartEntry['key'] | undefined;
  /** What the current one is: a page of the place, or a step of its work. */
  marks?: 'page' | 'step';
  /** What the entries are, in the plural: a long list of them can be searched. */
  noun?: string;
  onChoose: (key: PartEntry['key']) => void;
  /** What stands below the list. */
  children?: ReactNode;
}

/** A list longer than this is searched and shown piece by piece. */
const LONG = 25;

/** The list on the left of a place: its parts, its steps, or the things that it goes through. */
export function PartList({
  title,
  label,
  entries,
  current,
  marks = 'page',
  noun = 'entries',
  onChoose,
  children,
}: PartListProps) {
  const isLong = entries.length > LONG;
  const short = useShort(entries, (one) => `${one.words ?? ''} ${one.group ?? ''}`);
  const isIn = short.shown.some(({ key }) => key === current);
  // What a link opened stands in the list, however far down it would be.
  const own = isIn || short.text !== '' ? [] : entries.filter(({ key }) => key === current);
  const shown = isLong ? [...own, ...short.shown] : entries;
  return (
    <nav aria-label={label} className="partList">
      <h1 className="serif">{title}</h1>
      {isLong && <FindIn noun={noun} short={short} />}
      <List disablePadding component="div">
        {shown.map((one, at) => (
          <Fragment key={one.key}>
            {isLong && one.group !== undefined && one.group !== shown[at - 1]?.group && (
              <div className="partGroup faint">{one.group}</div>
            )}
            <ListItemButton
              component="button"
              selected={one.key === current}
              aria-current={one.key === current ? marks : undefined}
              title={one.keys}
              onClick={() => onChoose(one.key)}
            >
              <span className="entryName">{one.label}</span>
              {one.does && <span className="faint">{one.does}</span>}
            </ListItemButton>
          </Fragment>
        ))}
      </List>
      {isLong && <ShowMore noun={noun} short={short} />}
      {children}
    </nav>
  );
}
