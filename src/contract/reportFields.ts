import { FACTS, REPORT_KINDS } from './facts';
import type { ReportKind } from './facts';

export { REPORT_KINDS };
export type { ReportKind };

/** Kinds of reports by day as users read them. */
export const REPORT_LABELS = Object.fromEntries(
  REPORT_KINDS.map((kind) => [kind, FACTS[kind].label]),
) as Record<ReportKind, string>;

/** Lists that are taken in and given out besides the reports by day. */
export const TABLE_LABELS = {
  entities: 'Campaigns and targets',
  costs: 'Product costs',
  goals: 'Targets by scope',
} as const;

export type TableKind = keyof typeof TABLE_LABELS;
export const TABLE_KINDS = Object.keys(TABLE_LABELS) as TableKind[];

/** Everything that can be imported. */
export type ImportKind = ReportKind | TableKind;
export const IMPORT_LABELS: Record<ImportKind, string> = { ...REPORT_LABELS, ...TABLE_LABELS };

/** Fields of reports as users read them. */
export const FIELD_LABELS = {
  day: 'Day',
  campaign: 'Campaign',
  adGroup: 'Ad group',
  target: 'Target',
  term: 'Search term',
  placement: 'Placement',
  hour: 'Hour',
  itemCode: 'Item code',
  impressions: 'Impressions',
  clicks: 'Clicks',
  spend: 'Spend',
  orders: 'Orders',
  sales: 'Sales',
  units: 'Units',
  refundedUnits: 'Refunded units',
  refundedSales: 'Refunded sales',
  rank: 'Organic rank',
  weeklySearches: 'Searches a week',
  sku: 'SKU',
  price: 'Price',
  goods: 'Cost of goods',
  fees: 'Fees',
  shipping: 'Shipping',
  refundRate: 'Refund rate',
  recovered: 'Recovered of a refund',
  scope: 'Scope',
  name: 'Name',
  acos: 'Target ACOS',
  acosTo: 'Target ACOS up to',
  margin: 'Profit margin',
  marginTo: 'Profit margin up to',
  campaignState: 'Campaign state',
  budget: 'Budget',
  budgetKind: 'Budget type',
  topModifier: 'Top of search modifier',
  restModifier: 'Rest of search modifier',
  pagesModifier: 'Product pages modifier',
  adGroupState: 'Ad group state',
  defaultBid: 'Default bid',
  bid: 'Bid',
  state: 'State',
  product: 'Product',
  match: 'Match type',
  currency: 'Currency',
  campaignId: 'Campaign id',
  adGroupId: 'Ad group id',
  targetId: 'Target id',
  endDay: 'Last day of the row',
} as const;

/** What a column of a report can mean. */
export type ReportField = keyof typeof FIELD_LABELS;
