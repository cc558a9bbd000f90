import type { CSSProperties, ReactNode } from 'react';

/** One column of a virtual table; `T` is what a row is. */
export interface Column<T> {
  key: string;
  label: string;
  /** Unit shown small beside the label. */
  unit?: string;
  /** Pixels, or a CSS grid width, for instance "minmax(120px, 1fr)". */
  width: number | string;
  /** Part of the room that is left over, beside the others that grow; left out: none. */
  grows?: number;
  isFigure?: boolean;
  definition?: string;
  sortable?: boolean;
  /** Pixels from the left edge at which it stays while the others scroll sideways; left out: it scrolls. */
  pinnedAt?: number;
  cell: (row: T) => ReactNode;
}

/** What rows are ordered by. */
export interface Sort {
  by: string;
  descending: boolean;
}

/** Style of a cell that stays at its place while the others scroll sideways. */
export function pinned({ pinnedAt }: { pinnedAt?: number }): CSSProperties | undefined {
  return pinnedAt === undefined ? undefined : { position: 'sticky', left: 12 + pinnedAt, zIndex: 1 };
}

/** A column's width as its grid takes it. */
export function gridWidth({ width, grows }: Pick<Column<never>, 'width' | 'grows'>): string {
  if (typeof width === 'string') return width;
  return grows ? `minmax(${width}px, ${grows}fr)` : `${width}px`;
}
