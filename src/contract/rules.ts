// Rules that run by night, and what their nights did. Money in micros.
import type { PlayLike, PlayTold } from '../core/played';
import type { LeftWhy, Rule, RuleGuards } from '../core/rules';

export type { Rule, RuleGuards };

export interface RuleInfo {
  id: number;
  rule: Rule;
  isOn: boolean;
  /** Why it stopped itself; null: it did not. */
  stoppedWhy: string | null;
  /** What its scope is called. */
  scopeName: string;
  /** Whether it was tried on the past as it stands, and played where that can be: only then it may send by itself. */
  isTried: boolean;
  canPlay: boolean;
  isPlayed: boolean;
  /** Its last night that looked, and the next one; null: none. */
  lastNight: string | null;
  nextNight: string | null;
}

export interface RulesAnswer {
  /** In the order in which they count among those of one nearness. */
  rules: RuleInfo[];
  guards: RuleGuards;
  /** The last night in which a rule looked; null: none did. */
  lastNight: LastNight | null;
}

/** What all rules did in a night together. */
export interface LastNight {
  /** Its newest part: tells one night from another. */
  id: number;
  day: string;
  rules: number;
  made: number;
  /** Of these, sent by themselves. */
  sent: number;
}

export interface RuleRequest {
  account: number;
  /** Left out: a new one. */
  id?: number;
  rule: Rule;
  isOn?: boolean;
}

export interface GuardsRequest {
  account: number;
  guards: RuleGuards;
}

/** Something that was wanted and left. */
export interface LeftOut {
  why: LeftWhy;
  count: number;
  /** Names of a few. */
  some: string[];
  /** Rules that had it. */
  rules: string[];
}

/** One night of a rule: run for real, or only looked at. */
export interface NightTold {
  /** How many subjects it looked at and wanted to change. */
  looked: number;
  made: number;
  spend: number;
  sales: number;
  leftOut: LeftOut[];
}

export interface NightInfo extends NightTold {
  id: number;
  ruleId: number;
  rule: string;
  day: string;
  state: 'planned' | 'done' | 'skipped';
  sends: boolean;
  baleId: number | null;
  /** Why it did not look, or stopped; null else. */
  why: string | null;
  /** What became of its changes. */
  staged: number;
  accepted: number;
  refused: number;
  undone: number;
}

export interface NightsAnswer {
  nights: NightInfo[];
}

/** What a rule would have done on a night that is past, with what was known then. */
export interface PastNight extends NightTold {
  day: string;
  changes: { name: string; place: string; words: string; reason: string }[];
}

export interface TryAnswer {
  /** The last night first. */
  nights: PastNight[];
  /** Why there is nothing to look at; null else. */
  why: string | null;
}

/** What a play came to, and what was played. Money in micros. */
export interface Played extends PlayTold {
  /** What it works in is like, and left of a price before ads (share; null: not known). */
  asked: PlayLike;
  margin: number | null;
  /** Clicks that this was learnt from; 0: none in the scope, the account's own stand for it. */
  clicks: number;
  playedAt: string;
  /** Whether the rule is still as it was played. */
  isAsItStands: boolean;
}

export interface PlayAnswer {
  played: Played | null;
}

export interface PlayRequest {
  account: number;
  id: number;
  weeks: number;
  markets: number;
}

/** Where the summary of a night is sent to. */
export interface HookInfo {
  /** Null: nowhere. */
  url: string | null;
  hasSecret: boolean;
  /** What came of the last try; null: none yet. */
  said: string | null;
}

export interface HookRequest {
  account: number;
  url: string | null;
  /** Left out: the one that is kept. */
  secret?: string;
}

/** What is sent of nights; money as decimal strings in the account's currency. */
export interface NightTelling {
  account: { id: number; name: string; currency: string };
  nights: {
    night: number;
    rule: string;
    day: string;
    state: NightInfo['state'];
    sends: boolean;
    looked: number;
    changes: number;
    accepted: number;
    refused: number;
    spendPerMonth: string;
    salesPerMonth: string;
    why: string | null;
    left: { why: string; count: number }[];
  }[];
  /** Rules that have stopped themselves. */
  stopped: { rule: string; why: string }[];
}

export interface TryRequest {
  account: number;
  rule: Rule;
  /** Of a rule that is kept: it may send by itself once it was tried as it stands. */
  id?: number;
  nights: number;
  /** How many nights back the newest of them is; 0: tonight. */
  back: number;
}
