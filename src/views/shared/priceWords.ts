import { PRICE_TARGETS } from '../../core/bids';
import type { PlanColumns } from '../../core/bids';
import { formatCount, formatShare } from '../../core/units';

/** What sets the price of a click, as far as the account's own clicks tell. */
export function priceWords({ gamma, targets }: PlanColumns['price']): string {
  const many = formatCount(targets);
  if (targets < PRICE_TARGETS)
    return 'Too few targets have clicks to tell what sets the price of a click; the next bidder is taken to.';
  return gamma === 0
    ? `The clicks of ${many} targets show no sign that your own bid sets their price: the next bidder is taken to.`
    : `A click costs ${formatShare(gamma, 0)} of the way from the next bid to your own, as the clicks of ${many} targets tell; bids stay below its worth.`;
}
