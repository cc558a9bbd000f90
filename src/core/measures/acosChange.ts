import type { Sums } from './sums';

/** What moved an ACOS between two periods, in points of it (shares); they add up to the whole change. */
export interface AcosChange {
  before: number;
  now: number;
  /** Price per click, orders per click, and sales per order, in each part as it was sold in. */
  cpc: number;
  conversion: number;
  orderValue: number;
  /** Sales moved between parts of another ACOS. */
  mix: number;
  /** Parts that sold in one of the periods alone. */
  once: number;
}

/** What an ACOS is taken apart into, in the order in which it is told. */
export const ACOS_CAUSES = ['cpc', 'conversion', 'orderValue', 'mix', 'once'] as const;
export type AcosCause = (typeof ACOS_CAUSES)[number];

export interface PartSums {
  now: Sums;
  before: Sums;
}

/**
 * Takes the change of an ACOS apart. With w a part's share of sales, a its ACOS, M the mean of the two ACOS of all, and u the spend over all sales
 * of parts that did not sell in both periods: dA = sum mean(w) da + sum (mean(a) - M) dw over the parts that did + sum (du - M dw) over the others,
 * which is exact, for all dw come to 0. Each part's a = CPC / (orders per click x sales per order), so da = L (d ln CPC - d ln conversion -
 * d ln order value), L = da / d ln a the logarithmic mean (the additive LMDI form of index decomposition).
 * @returns null where a period has no sales at all
 */
export function acosChange(parts: readonly PartSums[]): AcosChange | null {
  const total = (of: 'now' | 'before', key: 'spend' | 'sales') =>
    parts.reduce((sum, part) => sum + part[of][key], 0);
  const sales = { now: total('now', 'sales'), before: total('before', 'sales') };
  if (sales.now <= 0 || sales.before <= 0) return null;
  const [before, now] = [total('before', 'spend') / sales.before, total('now', 'spend') / sales.now];
  const middle = (before + now) / 2;
  const change: AcosChange = { before, now, cpc: 0, conversion: 0, orderValue: 0, mix: 0, once: 0 };
  for (const part of parts) {
    const [w0, w1] = [part.before.sales / sales.before, part.now.sales / sales.now];
    if (!isSold(part.now) || !isSold(part.before)) {
      change.once += part.now.spend / sales.now - part.before.spend / sales.before - middle * (w1 - w0);
      continue;
    }
    const [a0, a1] = [part.before.spend / part.before.sales, part.now.spend / part.now.sales];
    const weight = ((w0 + w1) / 2) * logMean(a0, a1);
    const ratio = (of: (sums: Sums) => number) => Math.log(of(part.now) / of(part.before));
    change.cpc += weight * ratio(({ spend, clicks }) => spend / clicks);
    change.conversion -= weight * ratio(({ orders, clicks }) => orders / clicks);
    change.orderValue -= weight * ratio(({ sales: value, orders }) => value / orders);
    change.mix += ((a0 + a1) / 2 - middle) * (w1 - w0);
  }
  return change;
}

/**
 * What a part adds to the change of the ACOS of all, a share: its spend over all sales less the mean ACOS of all times its share of the sales, now
 * less before. The parts come to the whole change, for their shares of the sales come to one in both periods. Both periods need sales.
 */
export function addedToAcos(part: PartSums, all: readonly PartSums[]): number {
  const total = (of: 'now' | 'before', key: 'spend' | 'sales') =>
    all.reduce((sum, one) => sum + one[of][key], 0);
  const [now, before] = [total('now', 'sales'), total('before', 'sales')];
  const middle = (total('now', 'spend') / now + total('before', 'spend') / before) / 2;
  const left = ({ spend, sales }: Sums) => spend - middle * sales;
  return left(part.now) / now - left(part.before) / before;
}

/** Whether all of a part's rates are known. */
const isSold = ({ clicks, spend, orders, sales }: Sums): boolean =>
  clicks > 0 && spend > 0 && orders > 0 && sales > 0;

/** (b - a) / ln(b / a); a where both are the same. */
const logMean = (a: number, b: number): number => {
  const log = Math.log(b / a);
  return Math.abs(log) < 1e-12 ? a : (b - a) / log;
};

/**
 * The causes in tenths of a point, rounded so that they come to the rounded change: what is left over goes to those that rounding moved most.
 * @returns shares that are whole thousandths
 */
export function causesInTenths(change: AcosChange): { total: number; causes: Record<AcosCause, number> } {
  const total = Math.round((change.now - change.before) * 1000);
  const list = ACOS_CAUSES.map((key) => ({
    key,
    exact: change[key] * 1000,
    tenths: Math.round(change[key] * 1000),
  }));
  let over = list.reduce((sum, { tenths }) => sum + tenths, 0) - total;
  const step = Math.sign(over);
  for (const one of [...list].sort((a, b) => step * (b.tenths - b.exact - (a.tenths - a.exact)))) {
    if (over === 0) break;
    one.tenths -= step;
    over -= step;
  }
  const causes = Object.fromEntries(list.map(({ key, tenths }) => [key, tenths / 1000])) as Record<
    AcosCause,
    number
  >;
  return { total: total / 1000, causes };
}
