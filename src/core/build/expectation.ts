import type { CampaignFields } from '../changes';
import type { Micros } from '../units';
import { DAYS_PER_MONTH } from '../units';
import type { PartName } from './parts';

/** What a target of the account did in a month of 30.4 days. Money in micros. */
export interface LikeTarget {
  part: PartName;
  productId: number;
  lineId: number;
  clicks: number;
  orders: number;
  spend: Micros;
  sales: Micros;
}

/** With the ends of its 80 % interval. */
export interface Expected {
  low: number;
  mean: number;
  high: number;
}

/** What a planned campaign is expected to do in a month, and from whose figures. Money in micros. */
export interface Expectation {
  from: 'product' | 'line' | 'account';
  /** Targets that it was learnt from. */
  targets: number;
  clicks: Expected;
  spend: Expected;
  sales: Expected;
  /** Spend for sales. */
  acos: number | null;
}

/** Fewer like targets, clicks or orders than these tell nothing. */
const LEAST = { targets: 8, clicks: 40, orders: 8 };
/** Of 80 %. */
const SPREAD = 1.2816;

/**
 * What targets like these did, the nearest first: of the product, of its line, of the account. Null where even the account has too few.
 */
function likeOnes(likes: readonly LikeTarget[], part: PartName, productId: number, lineId: number) {
  const ofPart = likes.filter((one) => one.part === part);
  const circles = [
    ['product', ofPart.filter((one) => one.productId === productId)],
    ['line', ofPart.filter((one) => lineId !== 0 && one.lineId === lineId)],
    ['account', ofPart],
  ] as const;
  return circles.find(([, list]) => {
    const sum = (figure: 'clicks' | 'orders') => list.reduce((all, one) => all + one[figure], 0);
    return list.length >= LEAST.targets && sum('clicks') >= LEAST.clicks && sum('orders') >= LEAST.orders;
  });
}

/**
 * Clicks, spend and sales of a month for a number of targets of a part, from what like targets of the account did. Clicks: their mean a target, with the
 * spread between targets and that of the mean; no more than the budget pays at their CPC. Sales: at their sales per click, whose spread adds that of its
 * orders (Poisson). Null: too early to say.
 * @param budget of a day, or of the campaign's whole life, micros
 */
export function expectOf(
  likes: readonly LikeTarget[],
  {
    part,
    productId,
    lineId,
    count,
    budget,
    budgetKind,
  }: {
    part: PartName;
    productId: number;
    lineId: number;
    count: number;
    budget: Micros;
    budgetKind: CampaignFields['budgetKind'];
  },
): Expectation | null {
  const found = likeOnes(likes, part, productId, lineId);
  if (!found || count === 0) return null;
  const [from, list] = found;
  const total = { clicks: 0, orders: 0, spend: 0, sales: 0 };
  for (const one of list)
    for (const figure of ['clicks', 'orders', 'spend', 'sales'] as const) total[figure] += one[figure];
  const mean = total.clicks / list.length;
  const variance = list.reduce((sum, { clicks }) => sum + (clicks - mean) ** 2, 0) / (list.length - 1);
  const deviation = Math.sqrt(count * variance + (count ** 2 * variance) / list.length);
  const cpc = total.spend / total.clicks;
  const paid = (budgetKind === 'daily' ? budget * DAYS_PER_MONTH : budget) / cpc;
  const within = (value: number) => Math.min(paid, Math.max(0, value));
  const clicks = {
    low: within(count * mean - SPREAD * deviation),
    mean: within(count * mean),
    high: within(count * mean + SPREAD * deviation),
  };
  const perClick = total.sales / total.clicks;
  const apart = Math.sqrt(1 / total.orders) * SPREAD;
  return {
    from,
    targets: list.length,
    clicks,
    spend: { low: clicks.low * cpc, mean: clicks.mean * cpc, high: clicks.high * cpc },
    sales: {
      low: clicks.low * perClick * Math.max(0, 1 - apart),
      mean: clicks.mean * perClick,
      high: clicks.high * perClick * (1 + apart),
    },
    acos: perClick > 0 ? cpc / perClick : null,
  };
}

/** What a click of a part is worth, micros: sales per click of like targets; null: too early to say. */
export function worthOfClick(
  likes: readonly LikeTarget[],
  part: PartName,
  productId: number,
  lineId: number,
): number | null {
  const found = likeOnes(likes, part, productId, lineId);
  if (!found) return null;
  const [clicks, sales] = found[1].reduce(([c, s], one) => [c + one.clicks, s + one.sales], [0, 0]);
  return sales / clicks;
}
