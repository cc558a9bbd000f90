import type { KeywordMatch, NegativeMatch } from '../matching';
import type { Micros } from '../units';

export type State = 'enabled' | 'paused' | 'archived';
/** State of a campaign or ad group; a draft is staged to be made and the market does not know it yet. */
export type PlaceState = State | 'draft';
/** What a target aims at. 'unknown' stands for reports that do not name the target. */
export type TargetKind = 'keyword' | 'item' | 'category' | 'brand' | 'auto' | 'unknown';

export interface Campaign {
  id: number;
  name: string;
  state: PlaceState;
}

export interface AdGroup {
  id: number;
  campaignId: number;
  name: string;
  state: PlaceState;
  /** The advertised product, null when no report or sync has told it. */
  productId: number | null;
}

export interface Target {
  id: number;
  adGroupId: number;
  kind: TargetKind;
  /** Null for everything but keywords. */
  match: KeywordMatch | null;
  expression: string;
  bid: Micros | null;
  state: State;
}

export interface Negative {
  id: number;
  campaignId: number;
  /** Null: holds in the whole campaign. */
  adGroupId: number | null;
  match: NegativeMatch;
  expression: string;
  state: State;
}

/** An account's campaigns and what hangs below them. */
export interface Structure {
  campaigns: Campaign[];
  adGroups: AdGroup[];
  targets: Target[];
  negatives: Negative[];
}
