/** A figure of a row, with the column that keeps it and the heading under which it leaves: named together, never paired by position. */
export interface FigureSpec<F extends string = string> {
  field: F;
  column: string;
  heading: string;
  /** A count, an amount of money in micros, or a place in a list: 1 the first, 0 beyond its last page. */
  unit: 'count' | 'amount' | 'rank';
}

/**
 * Everything that is known of a kind of report by day: reading, writing, exporting, syncing and deleting go by it. The place is the entity
 * that a row speaks of; the detail is what else tells its rows of one day apart.
 */
export interface FactSpec<F extends string = string> {
  kind: string;
  label: string;
  /** In the schema mowing. */
  table: string;
  /** Where the same rows are kept added up by week; null where days do not add up. */
  weekTable: string | null;
  place: 'target' | 'campaign' | 'product';
  /** Ids that name the place where a report has all of them, and the texts that name it otherwise. */
  placeIds: readonly F[];
  placeNames: readonly F[];
  detail: 'term' | 'placement' | 'hour' | null;
  detailColumn: 'term_id' | 'placement' | 'hour' | null;
  figures: readonly FigureSpec<F>[];
  /** Fields without which a row cannot be taken in; of each group one will do. */
  required: readonly (readonly F[])[];
  /** What a row may say beside its figures of the bids, budgets and states that stand. */
  structure: readonly F[];
  /** Whether rows that sum up several days make sense. */
  canBeSummed: boolean;
  /** What tells rows of one day apart, in words that follow "same day, ". */
  keyWords: string;
  /** Whether orders arrive later than the day: the last days are asked for again. Otherwise a day is final once it is there. */
  isLate: boolean;
  /** Days in one report of a market: the more rows a day has, the fewer. */
  daysAtOnce: number;
  /** Whether the first day of each of its details is kept. */
  keepsFirstDays: boolean;
  /** Whether money leaves with the account's currency beside it. */
  hasMoney: boolean;
}

export const count = <F extends string>(
  field: F,
  heading: string,
  column: string = field,
): FigureSpec<F> => ({
  field,
  column,
  heading,
  unit: 'count',
});
export const rank = <F extends string>(field: F, heading: string, column: string): FigureSpec<F> => ({
  field,
  column,
  heading,
  unit: 'rank',
});
export const amount = <F extends string>(field: F, heading: string, column: string): FigureSpec<F> => ({
  field,
  column,
  heading,
  unit: 'amount',
});
