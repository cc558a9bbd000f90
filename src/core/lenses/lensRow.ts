import type { Place } from '../structure';
import type { KnownTerm } from './knownTerms';
import type { STATES } from './lensTable';
import type { SumColumns } from './sumColumns';

/** Sums of a grain over two windows, as the server tells them. */
export interface GrainSums {
  size: number;
  targetId?: Int32Array;
  adGroupId?: Int32Array;
  termId?: Int32Array;
  campaignId?: Int32Array;
  placement?: Int32Array;
  now: SumColumns;
  before: SumColumns;
  /** All sales of products over the window, by id; left out where they are not known of all its days. */
  totalSales?: ReadonlyMap<number, number>;
  /** Whether the data cover the window before: else its sums are of fewer days. */
  isBeforeCovered: boolean;
}

/** One row of a lens before its figures: what it is and where it hangs. */
export interface LensRow {
  /** Of the lens of search terms. */
  term?: KnownTerm;
  name: string;
  place: string;
  kind: string;
  state: (typeof STATES)[number];
  isStoppedAbove: boolean;
  at: Place;
  part: number;
  value: number | null;
  isInherited: boolean;
  changedOn: string | undefined;
}
