import type { Micros } from '../units';
import { DAYS_PER_MONTH } from '../units';

/** Cost per click and clicks move with the bid by these powers (see the bids' method). */
const [CPC_POWER, CLICK_POWER] = [0.8, 1];
/** Nothing is promised beyond these multiples of the present bid. */
const [LEAST, MOST] = [0.25, 2];

/** What a harvest is expected to change in a month. Micros. */
export interface HarvestGain {
  profit: Micros;
  spend: Micros;
  sales: Micros;
}

const NO_GAIN: HarvestGain = { profit: 0, spend: 0, sales: 0 };

/** What a harvest's gain is reckoned from. Money in micros. */
export interface GainFigures {
  /** Of the row in the window. */
  clicks: number;
  spend: number;
  /** Days of the window. */
  days: number;
  /** Expected sales per click, and the share of a sale that is left before ads. */
  valuePerClick: number;
  margin: number;
  bid: Micros;
  /** Bid of the target that catches the term now; null when not known: then nothing is promised. */
  sourceBid: Micros | null;
  /** Whether the source is kept from catching it. */
  isBlocked: boolean;
}

/**
 * Expected profit of a harvest per month: clicks x share won x (margin x RPC - new CPC), less what the same clicks earn now. The clicks are
 * won whole when the source is blocked, or when the new bid stands above the source's (the market lets the highest play), else not at all.
 * New clicks and CPC follow the bid: clicks ~ x, CPC ~ x^0.8 of x = new bid / source's bid, x within 0.25 and 2; a CPC is never above the bid.
 */
export function harvestGain(figures: GainFigures): HarvestGain {
  const { clicks, spend, days, valuePerClick, margin, bid, isBlocked } = figures;
  const sourceBid = figures.sourceBid ?? 0;
  if (clicks === 0 || days <= 0 || sourceBid <= 0 || (!isBlocked && bid <= sourceBid)) return NO_GAIN;
  const cpc = spend / clicks;
  const times = Math.min(MOST, Math.max(LEAST, bid / sourceBid));
  const monthly = (clicks / days) * DAYS_PER_MONTH;
  const [newClicks, newCpc] = [monthly * times ** CLICK_POWER, Math.min(bid, cpc * times ** CPC_POWER)];
  const moreSpend = newClicks * newCpc - monthly * cpc;
  const moreSales = (newClicks - monthly) * valuePerClick;
  return {
    profit: Math.round(margin * moreSales - moreSpend),
    spend: Math.round(moreSpend),
    sales: Math.round(moreSales),
  };
}
