import type { GoalScope } from '../goals';
import type { GrowthPlan } from '../growth';
import type { PlacementAsks } from '../placements';
import type { Day, Micros } from '../units';
import type { NewTermsRule } from './newTerms';
import type { RuleSwath } from './swath';
import type { RuleWork } from './works';

/** Everything below one thing; the account has the id 0. */
export interface PlainScope {
  kind: GoalScope;
  id: number;
}

/** The same, or what is in a swath, with the id 0. */
export type RuleScope = PlainScope | { kind: 'swath'; id: number };

/** On which nights a rule works. Weekdays: 1 Monday to 7 Sunday. */
export type RuleRhythm =
  | { kind: 'nightly' }
  | { kind: 'weekdays'; days: number[] }
  | { kind: 'every'; days: number };

/** What is done by night without being asked each time. Shares; money in micros. */
export interface Rule {
  name: string;
  work: RuleWork;
  scope: RuleScope;
  /** ACOS to aim at, a value (low = high) or a range; null: the scope's own. */
  target: { low: number; high: number } | null;
  /** What a subject has to show in the window before it is touched. */
  least: { clicks: number; impressions: number; orders: number };
  /** Days that are looked at; null: all that counts. */
  lookBack: number | null;
  /** Settled days before it begins with something new, and after each change. */
  waitDays: number;
  /** Largest move of a bid in one night. */
  step: { down: number; up: number };
  /** No bid is set lower or higher; null: as the account has it. */
  bid: { low: Micros | null; high: Micros | null };
  /** Whether bids of what is not proven yet are raised to find out, within the account's testing allowance. */
  tests: boolean;
  /** Of a step by hand: which rows (each condition as in a link: "acos>=40", in per cent), and by how much their bids move; null: they are paused. */
  hand: { conditions: string[]; percent: number | null };
  /** Of a scope that is a swath: which; null: another scope. */
  swath: RuleSwath | null;
  /** Of placements: what they have to show and how far they go; null: as the engine has it. */
  placements: PlacementAsks | null;
  /** Of new terms: where they come from; null: another work. */
  newTerms: NewTermsRule | null;
  /** Of a growth plan: how its product is grown; null: another work. */
  growth: GrowthPlan | null;
  rhythm: RuleRhythm;
  /** Its last night; null: until it is switched off. */
  until: Day | null;
  /** Sends by itself; else what it does waits in the tray. */
  sends: boolean;
  /** A night: so many changes, and so much more expected spend a month. */
  most: { changes: number; spend: Micros };
}

export const USUAL_RULE: Omit<Rule, 'name' | 'work'> = {
  scope: { kind: 'account', id: 0 },
  target: null,
  least: { clicks: 0, impressions: 0, orders: 0 },
  lookBack: null,
  // By trial bids alone do better without waiting (docs/method.md); with it, what a rule did can be measured sooner.
  waitDays: 0,
  step: { down: 0.35, up: 0.25 },
  bid: { low: null, high: null },
  tests: false,
  hand: { conditions: [], percent: -0.15 },
  swath: null,
  placements: null,
  newTerms: null,
  growth: null,
  rhythm: { kind: 'nightly' },
  until: null,
  sends: false,
  most: { changes: 200, spend: 500_000_000 },
};

/** What holds for all rules of an account. Shares. */
export interface RuleGuards {
  /** The one switch: nothing runs by itself. */
  isStopped: boolean;
  /** All rules together, a night: changes, and more expected spend a month. */
  most: { changes: number; spend: Micros };
  /** How far the spend and the ACOS of a week may leave what is usual before rules stop themselves. */
  spendBound: number;
  acosBound: number;
  /** The share of a night's changes that may be refused. */
  refusedBound: number;
}

export const USUAL_GUARDS: RuleGuards = {
  isStopped: false,
  most: { changes: 1000, spend: 2_000_000_000 },
  spendBound: 0.5,
  acosBound: 0.5,
  refusedBound: 0.2,
};

/** Scopes from wide to narrow: what is nearer counts before what is wider. */
const NEARNESS: Record<RuleScope['kind'], number> = {
  account: 0,
  line: 1,
  product: 2,
  campaign: 3,
  'ad-group': 4,
  // Picked row by row.
  swath: 5,
};

/** Rules in the order in which they count: the nearer scope first, then the order of the list. */
export const byNearness = <R extends { rule: Pick<Rule, 'scope'>; place: number }>(list: readonly R[]): R[] =>
  [...list].sort((a, b) => NEARNESS[b.rule.scope.kind] - NEARNESS[a.rule.scope.kind] || a.place - b.place);
