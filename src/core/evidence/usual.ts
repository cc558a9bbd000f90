import type { Sums } from '../measures';

/** What is usual in a campaign: the yardstick for its search terms. */
export interface Usual {
  /** Conversion rate, orders per click. */
  conversion: number;
  /** Clicks that an order usually takes: 1 / conversion. */
  clicksPerOrder: number;
  /** Micros of sales per order; null when nothing ever sold and no price is known. */
  orderValue: number | null;
}

/** Clicks and orders that stand in for an account with no history: one order in 12 clicks. */
const BLANK = { orders: 1, clicks: 12 };
/** A campaign's own orders outweigh the account's rate once they exceed this many. */
const CAMPAIGN_WEIGHT = 10;
/** Orders at the account's order value that are added to a campaign's own. */
const VALUE_WEIGHT = 5;

/** Account-wide conversion rate and order value, from the sums of all its search terms. */
export function usualInAccount(sums: Sums): Usual {
  const conversion = Math.min(1, (sums.orders + BLANK.orders) / (sums.clicks + BLANK.clicks));
  return {
    conversion,
    clicksPerOrder: 1 / conversion,
    orderValue: sums.orders > 0 ? sums.sales / sums.orders : null,
  };
}

/**
 * What is usual in one campaign, shrunk toward the account: account rate x (orders + 10) / (expected orders + 10),
 * where expected orders = clicks x account rate. A campaign with little data is judged by the account.
 */
export function usualInCampaign(sums: Sums, account: Usual): Usual {
  const expected = sums.clicks * account.conversion;
  const factor = (sums.orders + CAMPAIGN_WEIGHT) / (expected + CAMPAIGN_WEIGHT);
  const conversion = Math.min(1, account.conversion * factor);
  const orderValue =
    account.orderValue === null
      ? null
      : (sums.sales + VALUE_WEIGHT * account.orderValue) / (sums.orders + VALUE_WEIGHT);
  return { conversion, clicksPerOrder: 1 / conversion, orderValue };
}
