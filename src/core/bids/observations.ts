import { PLACEMENTS } from '../structure';
import type { EvidenceGrade } from '../evidence';
import type { Micros } from '../units';

/** Placements by number, as in core/structure. */
export const PLACEMENT_COUNT = PLACEMENTS.length;
export const REST = PLACEMENTS.indexOf('rest');

export interface BidProduct {
  /** Null: not known. */
  price: Micros | null;
  /** Left of its price before ads, share; null where costs are missing. */
  margin: number | null;
}

export interface BidCampaign {
  /** A day's budget; null: none, or one for its lifetime. */
  budget: Micros | null;
  /** Raise of bids by placement, as shares. */
  modifiers: [top: number, rest: number, pages: number];
  /** False where nobody told them; left out: they are known. */
  modifiersKnown?: boolean;
}

/** A record that a target brings along. Sales in micros. */
export interface BroughtAlong {
  clicks: number;
  orders: number;
  sales: Micros;
}

export interface BidTarget {
  /** Index in the lists of campaigns, products and scopes. */
  campaign: number;
  product: number;
  scope: number;
  /** Exact, phrase, broad, an automatic group, item, category …: what is usual is learnt for each. */
  kind: string;
  bid: Micros;
  /** False for targets that do not run: nothing is proposed for them, their figures count. */
  isRunning: boolean;
  /** Its last change, and its bid before where that was what changed (null: something else was, or it was made); null: never changed. */
  change: { daysAgo: number; from: Micros | null } | null;
  /** What its words (or item) brought elsewhere before it was made; null: nothing, or it was always there. */
  before: BroughtAlong | null;
}

/** Modifiers of a campaign that held on days older than an age, until an entry with a greater one. */
export interface EarlierModifiers {
  campaign: number;
  age: number;
  modifiers: BidCampaign['modifiers'];
}

/** What targets aim at: an ACOS, or a range in which nothing is to be done. Shares. */
export interface BidScope {
  targetAcos: number;
  range?: { low: number; high: number };
}

/** Days of targets as columns. Age: full days before the decision day, yesterday is 0. Money in micros. */
export interface TargetDays {
  target: Int32Array;
  age: Int32Array;
  clicks: Float64Array;
  spend: Float64Array;
  /** Orders and sales that are visible on the decision day. */
  orders: Float64Array;
  sales: Float64Array;
  /** The target's bid on that day; NaN: as it is now. */
  bid: Float64Array;
}

/** Days of campaigns by placement. */
export interface PlacementDays {
  campaign: Int32Array;
  placement: Int32Array;
  age: Int32Array;
  clicks: Float64Array;
  spend: Float64Array;
  orders: Float64Array;
}

/** Everything the engine is told, as plain data. Days older than 150 are not looked at. */
export interface BidObservations {
  /** Share of its final orders that a day's clicks show at an age; beyond the list all. */
  completion: number[];
  products: BidProduct[];
  campaigns: BidCampaign[];
  /** What a target ACOS stands on, share each. */
  scopes: BidScope[];
  targets: BidTarget[];
  /** What the tests that were accepted in the last 30 days cost more a month at most, micros. */
  testsUsed: Micros;
  days: TargetDays;
  placements: PlacementDays;
  /** Left out: modifiers were always as they are. */
  earlierModifiers?: EarlierModifiers[];
  /** How many of the last 28 days each campaign was open, a day without money left counted in part; left out: told by what it spent. */
  openDays?: Float64Array;
  /** Share of the last 7 days on which each ran out of money, by its hours; null: no daily budget; left out: told by what it spent. */
  dryShare?: (number | null)[];
}

/** How far a bid may move in one round, as shares of what it is. */
export interface StepLimits {
  down: number;
  up: number;
}

export const PACES = {
  careful: { down: 0.15, up: 0.1 },
  steady: { down: 0.35, up: 0.25 },
  brisk: { down: 0.6, up: 0.6 },
  /** The first round on an account, after a preview and a consent. */
  'to wanted': { down: 0.8, up: 2 },
} as const satisfies Record<string, StepLimits>;
export type Pace = keyof typeof PACES;

export interface BidSettings {
  step: StepLimits;
  /** grow: most sales at the target. keep profit: never buy a click above what it earns. strict: stay under the target. */
  aim: 'grow' | 'keep profit' | 'strict';
  limits: { bidStep: Micros; minBid: Micros; maxBid: Micros };
  /** Whether the market has one price for every click. (A floor and a cap of one's own may meet too: that is none.) */
  isOnePrice?: boolean;
  /** Placements whose modifiers may be set. */
  modifiers: [top: boolean, rest: boolean, pages: boolean];
  hold: HoldRule;
  proof: ProofRule;
  testing: TestRule;
  /** Smaller moves (shares) are not made. */
  leastMove: number;
  /** Targets of which less is known are left alone. */
  leastEvidence: 'thin' | 'fair' | 'strong';
  /** What all of it may spend a day, micros; null or left out: what its targets allow. */
  mostSpend?: Micros | null;
  /** By scope, the most that its target ACOS is multiplied by: where money is shared out for bids that go no higher. */
  mostMultiplier?: readonly number[];
}

/** What says where a target is to go; all else, how far of the way a round takes it. */
export type AimSettings = Pick<BidSettings, 'aim' | 'modifiers' | 'mostSpend' | 'mostMultiplier'>;

/** When a changed target is proposed again. */
export interface HoldRule {
  /** Settled days since the change, unless it had the clicks that an order usually takes before; 0: none. */
  settledDays: number;
  /** Whether a further step of the same move is proposed before that. */
  secondSteps: boolean;
}

/** What a target has to show before it is raised as proven: so many orders, or an order and a grade. */
export interface ProofRule {
  orders: number;
  grade: EvidenceGrade;
}

/** What tests of unproven targets may cost more a month: an amount in micros, or (null) a share of what all targets spend. */
export interface TestRule {
  cap: Micros | null;
  share: number;
  /** Parts of the account that have a cap of their own beside it: their targets, and what is left of each. */
  within?: readonly { targets: readonly number[]; room: Micros }[];
}

export const USUAL_SETTINGS: BidSettings = {
  step: PACES.steady,
  aim: 'grow',
  limits: { bidStep: 10_000, minBid: 20_000, maxBid: 1_000_000_000 },
  modifiers: [true, true, true],
  hold: { settledDays: 14, secondSteps: true },
  proof: { orders: 2, grade: 'fair' },
  testing: { cap: null, share: 0.005 },
  leastMove: 0.03,
  leastEvidence: 'thin',
};

/** Days of history that count. */
export const HISTORY_DAYS = 150;

/** Share of final orders that is visible at an age. */
export function shareAt(completion: readonly number[], age: number): number {
  return age < completion.length ? completion[age] : 1;
}
