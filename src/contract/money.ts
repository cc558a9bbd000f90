// What pages are told of an account's money. Micros.
import type { FundsEnd, MoneyWarning } from '../core/pace';
import type { MonthGoal } from './field';

export interface MoneyAnswer {
  /** What is to be looked after, the most urgent first. */
  warnings: MoneyWarning[];
  /** Prepaid money left, and when it is gone; null where the market bills afterwards. */
  funds: { left: number; end: FundsEnd | null } | null;
}

/** A month of a year with its goal, and what it spent so far; null: nothing is known of it. */
export interface PlannedMonth extends MonthGoal {
  spent: number | null;
}

export interface YearAnswer {
  year: string;
  months: PlannedMonth[];
}
