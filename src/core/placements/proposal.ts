import type { FactorRatio, Month } from '../bids';
import type { Micros } from '../units';

/** Why the modifiers of a campaign are left as they are; null: they are not. */
export type PlacementLeft =
  | 'not running'
  | 'not offered'
  | 'not known'
  | 'no clicks'
  | 'not sure'
  | 'held'
  | 'as wanted'
  | null;

/** One placement of a campaign. Modifiers as shares. */
export interface PlacementAt {
  from: number;
  to: number;
  /** What it would be without the most that a round moves. */
  wanted: number;
  /** What holds its modifier back, in words; null or left out: nothing. */
  held?: string | null;
  /** Whether the market lets it be set, and what stands is known. */
  isSettable: boolean;
  /** What a click brings there, against one at rest of search. */
  worth: FactorRatio;
  /** Share of the campaign’s clicks over 14 days. */
  share: number;
  /** What a further click costs there, over that of the whole campaign: it goes with what is bid there. */
  cost: number;
}

/** What is proposed for a campaign’s placements, with everything it was decided on. Money in micros. */
export interface PlacementProposal {
  campaign: number;
  left: PlacementLeft;
  /** In the order of PLACEMENTS. */
  placements: PlacementAt[];
  /** Clicks of 150 days that the campaign’s own factors stand on. */
  clicks: number;
  /** Base bids after / before with which the campaign spends what it spent. */
  bases: number;
  /** Mean base bid of its running targets, each weighted by its clicks. */
  bid: Micros;
  /** Running targets, whose bids go with the modifiers. */
  targets: number;
  /** Target ACOS of its targets together, share. */
  aim: number;
  now: Month;
  after: Month;
}
