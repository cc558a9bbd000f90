// Trials by weeks as pages and the server tell each other. Shares; money in micros.
import type { TrialBounds, TrialEffect, TrialEstimate, TrialVerdict, WatchedMoves } from '../core/trials';
import type { NamedWeek } from './schedules';

/** running: it switches by itself. ended: its weeks are over and told. stopped: before that, by hand or by a bound. */
export type TrialState = 'running' | 'ended' | 'stopped';

export interface TrialVerdictTold {
  verdict: TrialVerdict;
  estimate: TrialEstimate;
}

export interface TrialInfo {
  id: number;
  name: string;
  campaigns: number[];
  /** What is on in its weeks, in words; the first of them. */
  what: string[];
  changes: number;
  firstDay: string;
  weeks: number;
  bounds: TrialBounds;
  state: TrialState;
  /** Why it was stopped, or what holds its next switch up. */
  why: string | null;
  verdict: TrialVerdictTold | null;
  endedOn: string | null;
  /** Whether its changes are on now, and when that changes; null after the last switch. */
  isOn: boolean;
  nextSwitch: string | null;
  switches: { week: number; isOn: boolean; day: string; changes: number }[];
  /** The weeks that are settled, and what they tell; as it grew, week by week. */
  settled: number[];
  estimate: TrialEstimate;
  grown: { week: number; sales: TrialEffect }[];
  watched: WatchedMoves;
}

/** What an account can show of a change in some campaigns, from their last twelve weeks. */
export interface TrialNeeds {
  /** Orders a week of the campaigns with those that advertise the same products, and of the others. */
  orders: number;
  untouched: number;
  weeks: number;
}

/** What is to be on and off: a week that campaigns follow, or changes that wait in the tray. */
export type TrialOf =
  | { does: 'follow'; campaigns: number[]; follow: NamedWeek; bases: number }
  | { does: 'staged'; ids: number[] };

export interface TrialRequest {
  account: number;
  name: string;
  of: TrialOf;
  weeks: number;
  bounds: TrialBounds;
}
