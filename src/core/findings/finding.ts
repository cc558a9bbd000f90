import type { Change } from '../changes';
import type { Given } from './given';

/** Something that a structure lacks, or has too much of. */
export interface Finding {
  /** What it is found on. */
  entity: 'product' | 'campaign' | 'ad-group' | 'target';
  id: number;
  /** What tells it from others of its sort: the id, and the search term where it is about one. */
  ids: number[];
  /** Spend or sales of a month that it touches, micros; 0 where no money is at stake yet. */
  money: number;
  /** What was found, in words with its figures. */
  words: string;
  /** Changes that mend it; none where it is to be mended in another way. */
  mend: Change[];
  /** How it is mended otherwise; null where changes do. */
  otherwise: string | null;
}

/** A sort of finding: a file that exports one of these, and a line in the list. */
export interface FindingSpec {
  kind: string;
  label: string;
  /** What is usual, and why. */
  usual: string;
  /** What its money is: spend that is touched, or sales. */
  money: 'spend' | 'sales';
  find: (given: Given) => Finding[];
}
