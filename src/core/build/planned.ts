import type { CampaignFields } from '../changes';
import type { KeywordMatch, NegativeMatch } from '../matching';
import type { Listing, Refinement } from '../structure';
import type { Micros } from '../units';
import type { PartName } from './parts';

/** A target of a planned campaign. */
export interface PlannedTarget {
  kind: 'keyword' | 'item' | 'category' | 'brand' | 'auto';
  match: KeywordMatch | null;
  expression: string;
  refine: Refinement | null;
  against: Listing | null;
  bid: Micros;
  /** Where the plan says it: "terms.3". */
  at: string;
  /** The campaign that it stands in already. */
  home?: string;
}

export interface PlannedNegative {
  match: NegativeMatch;
  expression: string;
}

/** A campaign of a plan, with one ad group of the same name. */
export interface PlannedCampaign {
  /** Tells it from the others of the plan, however they are named: "exact 2". */
  key: string;
  part: PartName;
  name: string;
  budget: Micros;
  /** Whether its budget was set by hand. */
  isBudgetSet: boolean;
  defaultBid: Micros;
  fields: CampaignFields;
  /** Of its ad group alone; null: the campaign's. */
  adGroupBudget: Micros | null;
  targets: PlannedTarget[];
  negatives: PlannedNegative[];
}
