import type { BidSettings, Month } from '../../core/bids';
import type { PlacementAt, PlacementProposal, UnlikeGroup } from '../../core/placements';
import type { CampaignRowsAsked } from '../campaigns';
import type { Sums } from '../../core/measures';
import type { Micros } from '../../core/units';

/** A placement of a campaign with what it did in the window. Money in micros. */
export interface PlacementFact extends PlacementAt {
  sums: Sums;
  /** Estimated sales per click with their 80 % interval. */
  rpc: Micros;
  rpcLow: Micros;
  rpcHigh: Micros;
  /** 0: thin evidence. */
  grade: number;
}

/** What is proposed for a campaign’s placements. */
export interface PlacementOfCampaign extends Omit<PlacementProposal, 'campaign'> {
  campaignId: number;
}

/** The same by its row, with what each placement did. */
export interface PlacementRow extends Omit<PlacementOfCampaign, 'placements'> {
  placements: PlacementFact[];
}

/** What is proposed for all campaigns that have bids, and what it stands on. */
export interface PlacementProposals {
  campaigns: PlacementOfCampaign[];
  /** What a click brings at each placement over the whole account, against one at rest of search. */
  account: { ratio: number; low: number; high: number }[];
  /** Products and kinds of campaigns for which that is surely another. */
  unlike: UnlikeGroup[];
}

/** The same by the rows of a table of campaigns. */
export interface PlacementPlan extends Omit<PlacementProposals, 'campaigns'> {
  rows: PlacementRow[];
}

/** What the specialist sets instead of what is proposed: modifiers by placement (null: as proposed), and whether base bids give way. */
export interface PlacementEdit {
  to: (number | null)[];
  keepsBases: boolean;
}
/** Edits by campaign. */
export type PlacementEdits = ReadonlyMap<number, PlacementEdit>;

/** What accepting a row does. */
export interface PlacementAct {
  campaignId: number;
  /** Modifiers after, by placement. */
  to: number[];
  /** Base bids after / before. */
  bases: number;
  now: Month;
  after: Month;
  isEdited: boolean;
}

/** Which campaigns of the step are asked for. */
export interface PlacementsAsked extends CampaignRowsAsked {
  settings: BidSettings;
}
