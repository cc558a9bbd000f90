import type { Rule } from '../../../core/rules';
import type { BidMemory } from '../../observe';
import type { PlayedMarket } from '../../playedMarket';

/** Something that a rule wants done in a night of a played market. */
export interface NightMove {
  figures: { clicks: number; impressions: number; orders: number };
  /** More spend a month that is expected, micros; negative: less. */
  spend: number;
  make: () => void;
}

/** What a work wants in a night, what is wanted most first. */
export type NightWork = (rule: Rule, market: PlayedMarket, memory: BidMemory) => NightMove[];

/** Figures of which nothing is asked. */
export const NO_FIGURES: NightMove['figures'] = { clicks: Infinity, impressions: Infinity, orders: Infinity };
