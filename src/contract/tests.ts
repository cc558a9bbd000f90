// What tests of targets that are not proven yet may cost, and what they bought. Money in micros.
import type { Bought, TestCap, TestOutcome } from '../core/bids';

export type { Bought, TestOutcome };

/** What a part of the account may spend on tests a month, and what it did in the last 30 days. */
export interface TestAllowance {
  /** Null: the whole account. */
  scope: Pick<TestCap, 'kind' | 'id'> | null;
  name: string;
  /** Null: the usual share of what is spent. */
  cap: number | null;
  used: number;
}

/** A target that was tested. */
export interface TestedTarget {
  targetId: number;
  name: string;
  place: string;
  /** The day of its first test, and how often it was raised. */
  since: string;
  raises: number;
  before: number | null;
  now: number | null;
  clicks: number;
  spend: number;
  orders: number;
  sales: number;
  outcome: TestOutcome;
}

export interface TestsAnswer {
  /** Days that are looked back on. */
  days: number;
  allowances: TestAllowance[];
  all: Bought;
  by: Record<TestOutcome, Bought>;
  /** The last tests first. */
  tested: TestedTarget[];
}
