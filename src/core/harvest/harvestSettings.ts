import type { Micros } from '../units';
import type { Route } from '../routes';

/** When a search term is worth a target of its own. */
export interface HarvestSettings {
  /** By the probability that it stays under the ACOS, or by plain counts; routes may ask something else. */
  basis: 'chance' | 'counts';
  /** Counts: orders in the window, at least. (By chance one is enough.) */
  minOrders: number;
  /** ACOS at most (share): of the window by counts, of what is to be expected by chance. */
  maxAcos: number;
  /** Chance: terms that stay under the ACOS at least as surely as this are proposed. */
  surety: number;
  /** Target ACOS that the starting bid aims at (share). */
  targetAcos: number;
  /** Days of the window. */
  days: number;
  /** Where terms move to; of an ad group's routes the first that takes a term counts. Where there is none, a home is looked for. */
  routes: readonly Route[];
  /** Whether nothing moves where no route begins. */
  isRoutedOnly?: boolean;
  /** What the market suggests to bid on a term in a home, where it was asked; see suggestionKey. Micros. */
  suggested?: ReadonlyMap<string, Micros>;
}
