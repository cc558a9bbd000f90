import type { Micros } from '../units';

/** A relative change (share: -0.3 is 30 % less) with its 80 % interval. */
export interface Moved {
  change: number;
  low: number;
  high: number;
}

/** What the measured changes were expected to do, in the units in which it is measured. */
export interface ExpectedEffect {
  /** Micros in a month; profit null where no margin is known. */
  spend: Micros;
  sales: Micros;
  profit: Micros | null;
  /** Relative changes against what the targets came to before, shares; null where that was nothing. */
  spendChange: number | null;
  salesChange: number | null;
  acosChange: number | null;
}

/** What changes did, against what would have come without them. */
export interface MeasuredEffect {
  /** Targets that could be measured, and those that cannot yet: changed again too soon, or the days are not in. */
  measured: number;
  waiting: number;
  /** Days before and after, the most of any target. */
  days: number;
  /** What they were compared with, in words; empty for nothing. */
  like: string;
  /** Null where it cannot be told: nothing before, or nothing to compare with. */
  spend: Moved | null;
  sales: Moved | null;
  acos: Moved | null;
  /** Micros in a month of 30.4 days, with the 80 % interval; null where no margin is known. */
  profit: { perMonth: number; low: number; high: number } | null;
  /** The same in money: more spend and sales than would have come, micros in a month; null for nothing measured. */
  gained: { spend: Micros; sales: Micros } | null;
  /** What was expected of what is measured; null where nothing was said. */
  expected: ExpectedEffect | null;
  /** What the measured targets came to since, micros in a month. */
  since: { spend: Micros; sales: Micros };
  /** 'new': there was nothing before; 'summed': the days around came summed, so that before and after cannot be told apart. */
  verdict:
    | 'too early'
    | 'summed'
    | 'as wanted'
    | 'against'
    | 'no clear effect'
    | 'nothing to compare with'
    | 'new';
  /** Day number of the day whose orders have to be in for a first answer; null when there is one. */
  readyOn: number | null;
}
