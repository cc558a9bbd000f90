// Schedules by hour of the week as pages and the server tell each other. Money in micros; weeks as core/schedules writes them.
import type { WeekProposal } from '../core/hours';
import type { HoursWorth } from '../core/hours';
import type { MarketOptions } from './market';

/** A week that is kept by name. */
export interface NamedWeek {
  name: string;
  week: string;
}

/** A schedule that a campaign follows on its market. */
export interface RunningSchedule extends NamedWeek {
  scheduleId: number;
  campaignId: number;
}

/** Spend and sales of a month. */
export interface MonthMoney {
  spend: number;
  sales: number;
}

/** What the hours say of a campaign's schedule. */
export interface ScheduleRow {
  campaignId: number;
  /** Products that it advertises: what it gives up, other campaigns of these take. */
  products: number[];
  /** Orders that its hours are known by. */
  orders: number;
  running: RunningSchedule | null;
  /** Whether the pattern is its own; else it is the account's. */
  isOwn: boolean;
  /** The week that is proposed for it, by name. */
  name: string;
  week: string;
  /** Of how many blocks it is, and by how much base bids are lowered where schedules can only raise; 1 elsewhere. */
  blocks: number;
  bases: number;
  /** Own bids of its targets, where base bids are to be lowered; else none. */
  bids: { targetId: number; bid: number }[];
  now: MonthMoney;
  /** A month that follows the week that is proposed. */
  after: MonthMoney;
  /** Why nothing is proposed for it; null where something is. */
  left: 'no pattern' | 'held by money' | 'not running' | 'follows one' | 'in a trial' | 'no sales' | null;
  /** Whether its daily budget holds it up: then money decides in which hours it runs, and bids by the hour are not told what they win. */
  isHeld: boolean;
  /** Whether it is among those to try first. */
  isFirst: boolean;
}

export interface SchedulesAnswer {
  /** Null for an account without a market: nothing tells whether it has schedules. */
  offered: MarketOptions['schedules'] | null;
  named: NamedWeek[];
  running: RunningSchedule[];
  /** From these hours; null where none are known. */
  window: { from: string; to: string } | null;
  worth: HoursWorth;
  /** The week that the account's hours propose. */
  proposal: Omit<WeekProposal, 'week'> & { week: string };
  rows: ScheduleRow[];
}

/** Campaigns that are to follow a week, or to end their schedule: staged as changes. */
export interface FollowRequest {
  account: number;
  campaigns: number[];
  /** Null: they are to follow none. */
  follow: NamedWeek | null;
  /** What base bids are to be multiplied by, where schedules can only raise. */
  bases: number;
}

export interface FollowAnswer {
  staged: number[];
  /** Campaigns for which nothing was staged: they stand as is asked, or it waits in the tray already. */
  asIs: number;
}

/** What a week would do in some campaigns, in a month. */
export interface WeekPrice extends MonthMoney {
  offHours: number;
  off: MonthMoney;
  /** Of what it is a part: a month as it is. */
  now: MonthMoney;
}
