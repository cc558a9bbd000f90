import type { ReactNode } from 'react';

interface NameCellProps {
  name: string;
  /** What is to be known of it beyond its figures: that it is new, what kind it is. */
  marks?: ReactNode;
  place: string;
}

/** What a row is about, and behind it where it lives, for as far as there is room. */
export function NameCell({ name, marks, place }: NameCellProps) {
  return (
    <span title={`${name} — ${place}`}>
      <strong>{name}</strong> {marks}
      <span className="faint small">{place}</span>
    </span>
  );
}
