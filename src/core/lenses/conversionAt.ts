import { neededConversion } from '../evidence';
import type { LensTable } from './lensTable';

/** What is known of a row's conversion: its own clicks, what is usual there, and the rate that its target needs at its cost per click. */
export function conversionAt({ now, usual, orderValue, targetAcos }: LensTable, row: number) {
  const clicks = now.clicks[row];
  const isKnown = clicks > 0 && targetAcos[row] > 0 && orderValue[row] > 0;
  return {
    usual: usual[row],
    clicks,
    orders: now.orders[row],
    /** Orders per click; null where the target, or what an order brings, is not known. */
    needed: isKnown ? neededConversion(now.spend[row] / clicks, targetAcos[row], orderValue[row]) : null,
  };
}
