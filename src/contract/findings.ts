// What a structure lacks, or has too much of. Money in micros.
import type { Change } from '../core/changes';
import type { Finding } from '../core/findings';

/** The queue that findings are put aside in. */
export const FINDINGS_QUEUE = 'structure';

export interface FindingInfo extends Omit<Finding, 'ids'> {
  kind: string;
  /** Under which it is put aside. */
  subject: string;
  /** What it is found on, and where that stands. */
  name: string;
  place: string;
  mend: Change[];
}

/** A sort of finding: what it is called, what is usual, and what its money is. */
export interface FindingSort {
  kind: string;
  label: string;
  usual: string;
  money: 'spend' | 'sales';
}

export interface FindingsAnswer {
  window: { from: string; to: string };
  sorts: FindingSort[];
  /** The most money first; those put aside and those whose mend waits in the tray are not among them. */
  findings: FindingInfo[];
  /** How many are put aside. */
  aside: number;
}
