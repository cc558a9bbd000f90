import type { Micros } from '../units';
import type { BidSettings } from './observations';

/** Below this chance to meet its target a target is given up where its price cannot be lowered. */
const GIVEN_UP = 0.2;

/** Whether every click has one price: then there is nothing to bid, and a target either runs or not. */
export const hasOnePrice = ({ isOnePrice }: BidSettings): boolean => isOnePrice === true;

/**
 * What is done with a target whose clicks cost what they cost: paused once it was clicked on and is unlikely to reach the conversion that
 * its target ACOS needs at that price.
 * @param chance that it does @returns the bid as it is; 0: it is paused
 */
export const atOnePrice = (bid: Micros, clicks: number, chance: number): Micros =>
  clicks > 0 && chance < GIVEN_UP ? 0 : bid;
