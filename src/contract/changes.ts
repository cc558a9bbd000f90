// Changes, bales and what became of them, as the pages and the server tell each other. Money in micros.
import type { Change, ChangeState, ReadBack } from '../core/changes';

/** So many changes are put into a tray, sent or taken out at once, and a tray holds: what is listed is all that there is. */
export const MOST_CHANGES = 10_000;

/** The figures that a change was decided on. */
export interface ChangeFigures {
  /** Step of the round, by its name. */
  step?: string;
  termId?: number;
  term?: string;
  adGroupId?: number;
  /** The target that caught the term. */
  targetId?: number;
  from?: string;
  to?: string;
  clicks?: number;
  orders?: number;
  spend?: number;
  sales?: number;
  targetAcos?: number;
  /** What a schedule makes of a month of its campaign: spend and sales times this. */
  spendBy?: number;
  salesBy?: number;
  /** The plan of campaigns, and the line of it, that a change makes. */
  plan?: number;
  line?: string;
  /** The rule that made it by night, and which night of it. */
  rule?: number;
  night?: number;
  /** What a test of a target that is not proven yet costs more a month at most. */
  testCost?: number;
}

/** What a change carries for when it is accepted; checked when it is staged. */
export interface ChangeCarries {
  /** The named list of negatives that it comes from. */
  listId?: number;
}

export interface NewChange {
  change: Change;
  reason: string;
  figures: ChangeFigures;
  carries?: ChangeCarries;
  effect: { spend: number; sales: number };
  /** Index in the same request of the change that has to be accepted first. */
  after?: number;
}

export interface ChangeInfo {
  id: number;
  change: Change;
  state: ChangeState;
  /** Where it takes place: campaign and ad group. */
  campaignId: number | null;
  campaign: string;
  adGroupId: number | null;
  adGroup: string | null;
  /** What an archiving change ends, in words. */
  subject: string | null;
  /** What now stands where it sets something: micros, a share, a state; for what it made or ends, its state. */
  present: number | string | null;
  /** Whether the campaign, the ad group and the target that it stands in run. */
  runs: boolean;
  afterId: number | null;
  undoesId: number | null;
  reason: string;
  figures: ChangeFigures;
  carries: ChangeCarries;
  effect: { spend: number; sales: number };
  baleId: number | null;
  answerCode: string | null;
  answer: string | null;
  /** Whether it can be undone: accepted, and not undone or being undone yet. */
  undoable: boolean;
  stagedAt: string;
  /** Who staged it. */
  by: string;
  answeredAt: string | null;
}

/** Changes to be undone; `changed` says what to do where something else was set since. */
export interface UndoRequest {
  account: number;
  ids: number[];
  changed?: 'leave' | 'set-back';
}

/** What was staged to undo; or, when something else was set since and nothing was said of it, what that is. */
export interface UndoAnswer {
  ids: number[];
  changed: { id: number; what: string; where: string; present: number | string | null }[];
}

/** What an edited change file says differently from the tray. */
export type FileDifferences = ReadBack;

export interface BaleInfo {
  id: number;
  /** awaiting: carried out by hand, and not borne out by an import yet. */
  state: 'sending' | 'awaiting' | 'done';
  trouble: string;
  tries: number;
  sentAt: string;
  /** Who sent it. */
  by: string;
  /** The account's day on which the market answered first; null before. Its days may not be those of the clock. */
  marketDay: string | null;
  /** The day on which it was carried out by hand; null for one that was sent. */
  carriedOn: string | null;
  finishedAt: string | null;
  changes: number;
  accepted: number;
  refused: number;
}

/** What became of sending. A bale that cannot be delivered is tried again by itself. */
export interface SendResult {
  baleId: number;
  /** Changes that stayed in the tray, because they wait for others that did not go along. */
  waiting: number;
  /** Why it has no answer yet, in words; empty when every change has its answer. */
  trouble: string;
}

/** What to make of what is still open of a bale that was carried out by hand. */
export const SETTLINGS = ['carried-out', 'back-to-tray'] as const;
export type Settling = (typeof SETTLINGS)[number];

/** Staged changes that were carried out by hand: all of them, or those that an import of bids bears out. */
export interface CarriedOutRequest {
  account: number;
  ids: number[];
  day: string;
  borneOut: 'all' | 'by-import';
}

/** A number for a staged change to set: micros, or a share for a modifier. */
export interface StagedValue {
  id: number;
  value: number;
}

export type ChangeFileFormat = 'csv' | 'xlsx' | 'json';
