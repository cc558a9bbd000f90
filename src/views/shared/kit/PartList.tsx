import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import type { ReactNode } from 'react';

/** One entry of the list on the left of a place. */
export interface PartEntry {
  key: string | number;
  label: ReactNode;
  /** What it is for, or how it stands, below its name. */
  does?: ReactNode;
  /** The key that goes there. */
  keys?: string;
}

interface PartListProps {
  title: string;
  label: string;
  entries: readonly PartEntry[];
  current: PartEntry['key'] | undefined;
  /** What the current one is: a page of the place, or a step of its work. */
  marks?: 'page' | 'step';
  onChoose: (key: PartEntry['key']) => void;
  /** What stands below the list. */
  children?: ReactNode;
}

/** The list on the left of a place: its parts, its steps, or the things that it goes through. */
export function PartList({
  title,
  label,
  entries,
  current,
  marks = 'page',
  onChoose,
  children,
}: PartListProps) {
  return (
    <nav aria-label={label} className="partList">
      <h1 className="serif">{title}</h1>
      <List disablePadding component="div">
        {entries.map((one) => (
          <ListItemButton
            key={one.key}
            component="button"
            selected={one.key === current}
            aria-current={one.key === current ? marks : undefined}
            title={one.keys}
            onClick={() => onChoose(one.key)}
          >
            <span className="entryName">{one.label}</span>
            {one.does && <span className="faint">{one.does}</span>}
          </ListItemButton>
        ))}
      </List>
      {children}
    </nav>
  );
}
