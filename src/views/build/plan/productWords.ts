import type { PlanProduct } from '../../../contract/build';
import { PARTS } from '../../../core/build';
import { formatCount, formatMoney, formatNumber, formatShare } from '../../../core/units';

/** What campaigns a product has already, in words. */
export function hasWords({ has }: Pick<PlanProduct, 'has'>): string {
  const parts = PARTS.flatMap(({ name, label }) => {
    const count = has[name];
    return count ? [`${label.toLowerCase()} ${formatCount(count)}`] : [];
  });
  return parts.length === 0 ? 'It has no campaigns yet.' : `Runs already: ${parts.join(', ')}.`;
}

/** Price, rating, margin and what a click may cost, as far as they are known. */
export function productFacts(product: PlanProduct, currency: string): string[] {
  const { price, rating, stock, discount, margin, breakEvenCpc, targetAcos } = product;
  return [
    [product.sku, product.itemCode].filter(Boolean).join(' · '),
    ...(price === null ? [] : [`${formatMoney(price)} ${currency}`]),
    ...(discount ? [`${formatShare(discount, 0)} off`] : []),
    ...(rating === null ? [] : [`${formatNumber(rating, 1)} stars`]),
    ...(stock === null ? [] : [`${formatCount(stock)} in stock`]),
    margin === null ? 'margin not known' : `margin ${formatShare(margin, 0)}`,
    ...(breakEvenCpc === null ? [] : [`break-even CPC ${formatMoney(breakEvenCpc)}`]),
    ...(targetAcos === null ? [] : [`target ACOS ${formatShare(targetAcos, 0)}`]),
  ];
}
