// What pages are told of the hours of the week. Money in micros.
import type { HoursWorth } from '../core/hours';

/** Whose hours, over how many weeks up to the last settled day. */
export interface HoursQuery {
  account: number;
  weeks: number;
  /** Last day of them; the last settled one without. */
  until?: string;
  scope: 'account' | 'line' | 'product' | 'campaign';
  scopeId: number;
}

/** Cells are weekday x 24 + hour, weekday 0 Monday; hours are the account's. */
export interface HoursAnswer {
  /** First and last day; null where no hours are known. */
  window: { from: string; to: string } | null;
  timeZone: string;
  /** How often each hour came. */
  times: number[];
  impressions: number[];
  clicks: number[];
  spend: number[];
  orders: number[];
  sales: number[];
  /** How well clicks sell there, around 1; the standard deviation of its logarithm; and of weekdays and hours alone. */
  factor: number[];
  sd: number[];
  weekday: number[];
  weekdaySd: number[];
  hour: number[];
  hourSd: number[];
  /** By weekday, where known: all sales of its products, with ads or without, and of those the profit that is left after ads. Micros. */
  totals: { sales: number[]; profit: number[] | null } | null;
  worth: HoursWorth;
  /** Whether the pattern is the part's own, or the account's because the part has too few orders. */
  isOwn: boolean;
}
