// What pages are told of an account's money. Micros.
import type { FundsEnd, MoneyWarning, PartPace } from '../core/pace';
import type { MonthGoal } from './field';

export interface MoneyAnswer {
  /** What is to be looked after, the most urgent first. */
  warnings: MoneyWarning[];
  /** Prepaid money left, and when it is gone; null where the market bills afterwards. */
  funds: { left: number; end: FundsEnd | null } | null;
}

/** What a part of the account may spend each day or month; scopeId 0 for all of it. Micros. */
export interface SpendPlan {
  scope: 'account' | 'line' | 'product' | 'campaign';
  scopeId: number;
  span: 'day' | 'month';
  spend: number;
}

/** How a part stands to what it may spend. A campaign whose budget is for its life has its plan by that. */
export interface PlannedPart extends PartPace {
  scope: SpendPlan['scope'];
  scopeId: number;
  name: string;
}

export interface PaceAnswer {
  /** The last day with figures; null: there are none, and no part is told. */
  lastDay: string | null;
  parts: PlannedPart[];
}

/** A month of a year with its goal, and what it spent so far; null: nothing is known of it. */
export interface PlannedMonth extends MonthGoal {
  spent: number | null;
}

export interface YearAnswer {
  year: string;
  months: PlannedMonth[];
}
