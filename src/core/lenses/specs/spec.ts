import type { Target } from '../../structure';

/** Which daily facts a lens is summed from. */
export type LensGrain = 'target' | 'ad-group' | 'term' | 'placement';

/** What a row of a lens is. A search term is one where a target caught it, a placement one of a campaign. */
export type LensEntity = 'target' | 'term' | 'placement' | 'campaign' | 'ad-group' | 'product';

/** What the value of a row is. */
export type LensValue = 'bid' | 'budget' | 'modifier' | 'price' | 'none';

/** The column of ids that names what a row is, or hangs below. */
export type IdColumn = 'targetId' | 'adGroupId' | 'campaignId' | 'productId';

/** A lens as data: everything that is known of it. @template N names of lenses */
export interface LensSpec<N extends string = string> {
  name: N;
  label: string;
  /** One row of it, and several. */
  row: string;
  rows: string;
  grain: LensGrain;
  entity: LensEntity;
  /** The id of a row, and what else tells its rows apart: a term's id, a placement's number. */
  id: IdColumn;
  part: 'term' | 'placement' | null;
  value: LensValue;
  /** Whether the value can be set by hand; a sentence says where it is done instead. */
  sets: boolean;
  whyNotSet: string;
  /** What of it can be paused. */
  pauses: 'target' | 'ad-group' | 'campaign' | null;
  /** Which targets it shows; null for lenses whose rows are not targets. */
  shows: ((target: Target) => boolean) | null;
  /** Whether rows are words or items that can run elsewhere too. */
  hasWords: boolean;
  /** Whether what is usual is told by campaign; of rows that hold whole campaigns, by the account. */
  usualIn: 'campaign' | 'account';
  /** What lies below a row, the usual one first: lenses inside a scope that is named by an id of the row. */
  below: { scope: 'target' | 'ad-group' | 'campaign' | 'product'; id: IdColumn; lenses: readonly string[] };
  /** Whose changes count for a row: of a target its own, of what is above it everything below too; null: none. */
  history: 'targetId' | 'adGroupId' | 'campaignId' | null;
  /** What the column of places is called. */
  placeLabel: string;
  /** Columns as long as nobody has set them. */
  columns: readonly string[];
}

export const FIGURES = ['clicks', 'spend', 'd.spend', 'orders', 'sales', 'acos'] as const;
/** The same where the profit stands beside them: the move of the spend makes room. */
export const WITH_PROFIT = ['clicks', 'spend', 'orders', 'sales', 'acos', 'profit'] as const;
