import type { ReactNode } from 'react';

/** One entry of the list on the left of a place. */
export interface PartEntry {
  key: string | number;
  label: string;
  /** What it is for, or how it stands, below its name. */
  does: ReactNode;
}

interface PartListProps {
  title: string;
  label: string;
  entries: PartEntry[];
  current: PartEntry['key'] | undefined;
  onChoose: (key: PartEntry['key']) => void;
  /** What stands below the list. */
  children?: ReactNode;
}

/** The list on the left of a place: its parts, or the things that it goes through. */
export function PartList({ title, label, entries, current, onChoose, children }: PartListProps) {
  return (
    <nav
      aria-label={label}
      style={{ borderRight: '1px solid var(--hairline)', paddingTop: 14, overflow: 'auto' }}
    >
      <h1 className="serif" style={{ margin: '0 16px 12px', fontSize: 18, fontWeight: 500 }}>
        {title}
      </h1>
      {entries.map((one) => (
        <button
          key={one.key}
          type="button"
          className="entry"
          aria-current={one.key === current ? 'page' : undefined}
          onClick={() => onChoose(one.key)}
        >
          <div style={{ fontWeight: one.key === current ? 650 : 400 }}>{one.label}</div>
          <div className="faint">{one.does}</div>
        </button>
      ))}
      {children}
    </nav>
  );
}
