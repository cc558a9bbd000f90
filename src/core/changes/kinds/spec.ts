import type { Named, Made } from '../named';
import type { NegativeMatch } from '../../matching';
import type { Listing, Placement, Refinement, State } from '../../structure';
import type { ChangePurpose } from '../purposes';
import type { AdParts } from '../adParts';
import type { Finding, MarketLimits } from '../limits';
import type { Standing } from '../standing';
import type { MarketAct, MarketIds } from '../towardsMarket';

/** What a field of a change holds; its checks at the edge are made of this. Money in micros, modifiers as shares. */
export type FieldShape =
  | 'id'
  | 'id or null'
  | 'name'
  | 'expression'
  | 'bid'
  | 'bid or null'
  | 'budget'
  | 'budget or null'
  | 'modifier'
  | 'week'
  | 'day or null'
  | 'refinement'
  | 'listing'
  | 'ad parts'
  | { oneOf: readonly (string | null)[] };

/** The number that a change sets: a bid or a budget in micros, a modifier as a share. */
export interface SetValue {
  /** What stood there when it was decided; null where nothing did. */
  from: number | null;
  to: number;
  unit: 'money' | 'share';
  /** A bid moves clicks and their price in a known way. */
  isBid: boolean;
}

/** What an accepted change makes of our own copy of the account. Values by the words of core/changes/standing. */
export type Accepted =
  | { does: 'set'; entity: SetEntity; id: number; values: Values }
  | {
      does: 'make-target';
      adGroupId: number;
      kind: 'keyword' | 'item' | 'category' | 'brand' | 'auto';
      match: string | null;
      expression: string;
      /** Of a category or brand: which of its items. */
      refine?: Refinement | null;
      against?: Listing | null;
      bid: number;
    }
  | {
      does: 'make-negative';
      campaignId: number;
      adGroupId: number | null;
      match: NegativeMatch;
      expression: string;
    }
  | { does: 'make-schedule'; campaignId: number; name: string; week: string }
  /** The market has made what was our draft. */
  | { does: 'adopt'; entity: 'campaign' | 'ad-group'; id: number; values: Values }
  | { does: 'adopt-ad'; adGroupId: number; productId: number };

/** What an accepted change sets values of. */
export type SetEntity = 'campaign' | 'ad-group' | 'ad' | 'target' | 'negative' | 'schedule';

export type Values = Partial<
  Record<
    | 'state'
    | 'bid'
    | 'budget'
    | 'defaultBid'
    | 'week'
    | 'name'
    | 'budgetKind'
    | 'pacing'
    | 'flex'
    | 'similar'
    | 'parts'
    | 'startsOn'
    | 'endsOn'
    | Placement,
    number | string | State | null
  >
>;

/** The targets that a change works on: one, or all of an ad group or campaign. */
export type Touch = { target: number | null } | { adGroup: number } | { campaign: number } | null;

/** Where a change was made, beyond what it names itself. */
export interface ChangedPlace {
  campaignId: number | null;
  adGroupId: number | null;
  madeTargetId: number | null;
  /** The target that caught the term of a negative, where one is known. */
  caughtBy: number | null;
}

/** A number that stands somewhere and is set to another one, or a campaign's schedule. Money in micros, a modifier as a share. */
export type Moves =
  | { what: 'bid'; target: number; to: number }
  | { what: 'budget'; campaign: number; to: number }
  | { what: 'modifier'; campaign: number; placement: Placement; to: number }
  | { what: 'schedule'; campaign: number };

/** A pause or an end: what else is set there does nothing. */
export interface Stop {
  entity: 'campaign' | 'ad-group' | 'target';
  id: number;
  how: 'pause' | 'end';
}

/**
 * Everything that is known of a kind of change, as data and small functions. Tray, ledger, undo, change file, conflicts, effects, the
 * port to a market and our own copy all go by it: a new kind is one file like this and one line in the list.
 */
export interface ChangeSpec<C extends { kind: string } = never, I extends { kind: string } = C> {
  kind: C['kind'];
  /** The fields beside `kind`. */
  shape: { [F in Exclude<keyof C, 'kind'>]: FieldShape };
  /** Whether a caller may stage it as it is; the others are made by the application alone. */
  byRequest: boolean;
  /** Two changes with the same key would do the same thing to the same place, or move the same thing to two values. */
  key: (change: C) => string;
  /** In plain words, without its place. */
  words: (change: C) => string;
  /** What it stands under in the tray. */
  group: (change: C) => string;
  /** What it is for, when it is asked which changes worked. @param step of the round that it came from */
  purpose: (change: C, step: string | undefined) => ChangePurpose;
  entities: (change: C) => Named;
  /** What it sets; null for what makes or ends something. Staged again, what is set takes the new value. */
  sets:
    | 'bid'
    | 'budget'
    | 'modifier'
    | 'state'
    | 'schedule'
    | 'name'
    | 'day'
    | 'pacing'
    | 'flex'
    | 'similar'
    | 'parts'
    | null;
  /** What it makes; null for a change of what is there. */
  makes: 'target' | 'negative' | 'campaign' | 'ad-group' | 'ad' | 'schedule' | null;
  /** The ad group that what it makes goes into: it waits for one that is a draft still. */
  goesInto?: (change: C) => number;
  /** Which bid, budget or modifier of what it sets to what. */
  moves?: (change: C) => Moves;
  /** The number that it sets. */
  value?: { read: (change: C) => SetValue; write: (change: C, to: number) => C };
  /** What stands now where it sets something: micros, a share, a state; for what it made or ends, its state. */
  present: (standing: Standing, change: C) => number | string | null;
  /** The same decided from what stands there now. */
  fromPresent?: (change: C, present: number | string | null) => C;
  /** Whether what it did stands no more: something else was set there since. */
  isChangedSince: (change: C, present: number | string | null) => boolean;
  /** The change that undoes it once accepted; null when it cannot be undone. */
  inverse: (change: C, made: Made) => I | null;
  /** What the market is going to refuse in it. */
  check: (change: C, limits: MarketLimits) => Finding[];
  /** Why it would do nothing, given what stands there; null when it would. Numbers that are set are held against `present` anyhow. */
  standsAlready?: (change: C, present: number | string | null) => string | null;
  /** It does nothing yet where its place does not run. */
  needsRunning?: boolean;
  /** It does nothing in a place that is paused in the same bale. */
  idleWhenPaused?: boolean;
  stops?: (change: C) => Stop | null;
  /** The words that it bids on. */
  adds?: (change: C) => { adGroupId: number; expression: string };
  /** The campaign that it takes off its schedule. */
  frees?: (change: C) => number;
  /** The words or item that it keeps out. */
  blocks?: (change: C) => {
    campaignId: number;
    adGroupId: number | null;
    match: NegativeMatch;
    expression: string;
  };
  /** What it has an ad show: not every market takes it. */
  shows?: (change: C) => AdParts;
  /** The targets that it works on; what was just made has no past to be compared with. */
  touches: (change: C, place: ChangedPlace) => Touch;
  /** Its form towards a market; null where the market does not know what it names. */
  toMarket: (change: C, ids: MarketIds) => MarketAct | null;
  accepted: (change: C) => Accepted;
}
