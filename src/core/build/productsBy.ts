import type { ProductRule } from './plan';

/** What a rule looks at; null where it is not known. Price in micros, margin and discount as shares. */
export interface RuledProduct {
  lineId: number | null;
  price: number | null;
  margin: number | null;
  stock: number | null;
  discount: number | null;
}

/** A rule that every product fits. */
export const NO_RULE: ProductRule = {
  lineId: null,
  minPrice: null,
  maxPrice: null,
  minMargin: null,
  maxMargin: null,
  minStock: null,
  minDiscount: null,
  maxDiscount: null,
};

/** Whether a value lies within bounds; one that is not known lies in none but open ones. */
const within = (value: number | null, least: number | null, most: number | null) =>
  (least === null && most === null) ||
  (value !== null && (least === null || value >= least) && (most === null || value <= most));

/** The products that fit a rule, in the order given. */
export const productsBy = <P extends RuledProduct>(rule: ProductRule, products: readonly P[]): P[] =>
  products.filter(
    ({ lineId, price, margin, stock, discount }) =>
      (rule.lineId === null || rule.lineId === lineId) &&
      within(price, rule.minPrice, rule.maxPrice) &&
      within(margin, rule.minMargin, rule.maxMargin) &&
      within(stock, rule.minStock, null) &&
      within(discount, rule.minDiscount, rule.maxDiscount),
  );
