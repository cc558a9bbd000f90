import type { ReactNode } from 'react';
import type { Hovered } from './hovered';
import type { Column, Sort } from './column';

export interface VirtualTableProps<T> {
  label: string;
  columns: Column<T>[];
  count: number;
  rowAt: (index: number) => T;
  /** Stable key of a row. */
  keyAt: (index: number) => number;
  rowHeight: number;
  /** Second line below a row's cells. */
  detail?: (row: T) => ReactNode;
  focus: number;
  onFocus: (index: number) => void;
  isSelected: (index: number) => boolean;
  onSelect: (index: number, range: boolean) => void;
  /** What the rows are ordered by, the first one first. */
  sorts: readonly Sort[];
  /** `isAlso` adds a further order instead of replacing the present one. */
  onSort: (key: string, isAlso: boolean) => void;
  /** Shown instead of rows when there are none. */
  empty: ReactNode;
  /** Totals of all rows, by column; a line below the headings. */
  totals?: (key: string) => ReactNode;
  /** Widths in pixels can be dragged, and columns moved, where these are given. */
  onResize?: (key: string, width: number) => void;
  onMove?: (key: string, over: string) => void;
  /** Told which rows are in sight. */
  onSight?: (first: number, last: number) => void;
  onOpen?: (index: number) => void;
  /** Shared with a picture of the same rows; rows are named by their keys. */
  hovered?: Hovered;
}

/** What headings are drawn from; the same object as long as they would be drawn the same. */
export type HeadProps<T> = Pick<VirtualTableProps<T>, 'columns' | 'sorts' | 'onSort' | 'onResize' | 'onMove'>;

/** What rows are drawn from; the same object as long as they would be drawn the same. */
export type RowProps<T> = Pick<
  VirtualTableProps<T>,
  'columns' | 'rowAt' | 'keyAt' | 'rowHeight' | 'detail' | 'onFocus' | 'onSelect' | 'onOpen' | 'hovered'
>;
