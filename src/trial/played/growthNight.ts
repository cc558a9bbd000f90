import type { GrowthPlan, Stage } from '../../core/growth';
import type { Rule } from '../../core/rules';
import type { BidMemory } from '../observe';
import type { PlayedMarket } from '../playedMarket';

/** A campaign of a plan, and since when it is in its stage. */
export interface Member {
  stage: Stage;
  since: string;
}

/** What a night of a plan works with. */
export interface Night {
  market: PlayedMarket;
  memory: BidMemory;
  plan: GrowthPlan;
  rule: Rule;
  members: Map<string, Member>;
  /** The day on which a target's bid was last raised to be tried. */
  changed: Map<string, string>;
  tell: (words: string) => void;
}

/** The campaign of an ad group. */
export const campaignOf = ({ books }: PlayedMarket, adGroupId: string): string =>
  books.adGroups.find(({ id }) => id === adGroupId)!.campaignId;
