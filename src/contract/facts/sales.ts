import { AT_PRODUCT } from './places';
import { amount, count } from './spec';

/** All sales of a product, from ads or not. */
export const sales = {
  kind: 'sales',
  label: 'Product sales',
  table: 'product_day',
  weekTable: 'product_week',
  ...AT_PRODUCT,
  detail: null,
  detailColumn: null,
  figures: [
    count('orders', 'Orders'),
    count('units', 'Units'),
    amount('sales', 'Sales', 'sales_micros'),
    count('refundedUnits', 'Refunded units', 'refunded_units'),
    amount('refundedSales', 'Refunded sales', 'refunded_micros'),
  ],
  required: [['day'], ['itemCode'], ['orders'], ['units'], ['sales']],
  canBeSummed: true,
  keyWords: 'and product',
  isLate: false,
  daysAtOnce: 60,
  keepsFirstDays: false,
  hasMoney: true,
} as const;
