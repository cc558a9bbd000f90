import { matchForm, normaliseTerm } from '../matching';
import { NO_SUMS } from '../measures';
import type { Sums } from '../measures';

/**
 * The search terms of a window, one row for each term in each ad group, as columns: a hundred thousand rows
 * are filtered and sorted without an object each. Money in micros.
 */
export interface TermTable {
  size: number;
  termId: Int32Array;
  term: string[];
  adGroupId: Int32Array;
  campaignId: Int32Array;
  /** The target that brought most of the clicks. */
  targetId: Int32Array;
  /** How many targets of the ad group caught the term. */
  targetCount: Int32Array;
  /** Days of the window on which it was clicked. */
  days: Int32Array;
  /** The first day on which the account ever saw the term, in days since 1970; 0 when not known. */
  firstDay: Int32Array;
  impressions: Float64Array;
  clicks: Float64Array;
  spend: Float64Array;
  orders: Float64Array;
  units: Float64Array;
  sales: Float64Array;
  /** What is known of each row beyond the window; without it the window is all there is. */
  history?: TermHistory;
}

/** What rows did on all settled days that count for estimates, by row, and on the last of them. Money in micros. */
export interface TermHistory {
  /** How many days those are. */
  days: number;
  clicks: Float64Array;
  spend: Float64Array;
  orders: Float64Array;
  sales: Float64Array;
  /** The last 30, 60 and 90 of them. */
  recent: readonly { days: number; spend: Float64Array; sales: Float64Array }[];
}

/** A table whose sums are those that estimates stand on. */
export const judgedTable = (table: TermTable): TermTable =>
  table.history ? { ...table, ...pickSums(table.history) } : table;

const pickSums = ({ clicks, spend, orders, sales }: TermHistory) => ({ clicks, spend, orders, sales });

/** The sums of one row. */
export function sumsOfRow(table: TermTable, row: number): Sums {
  return {
    impressions: table.impressions[row],
    clicks: table.clicks[row],
    spend: table.spend[row],
    orders: table.orders[row],
    units: table.units[row],
    sales: table.sales[row],
  };
}

/** The sums of the given rows (all when left out). */
export function sumsOfRows(table: TermTable, rows?: ArrayLike<number>): Sums {
  const total: Sums = { ...NO_SUMS };
  const count = rows ? rows.length : table.size;
  for (let i = 0; i < count; i += 1) addRow(total, table, rows ? rows[i] : i);
  return total;
}

/** The sums of each campaign that has rows, by campaign id. */
export function sumsByCampaign(table: TermTable): Map<number, Sums> {
  const sums = new Map<number, Sums>();
  for (let row = 0; row < table.size; row += 1) {
    const id = table.campaignId[row];
    let own = sums.get(id);
    if (!own) sums.set(id, (own = { ...NO_SUMS }));
    addRow(own, table, row);
  }
  return sums;
}

function addRow(total: Sums, table: TermTable, row: number) {
  total.impressions += table.impressions[row];
  total.clicks += table.clicks[row];
  total.spend += table.spend[row];
  total.orders += table.orders[row];
  total.units += table.units[row];
  total.sales += table.sales[row];
}

/** Every row's term normalised, as it is searched by its letters. */
export const normalisedTerms = (table: TermTable): string[] => eachTermOnce(table, normaliseTerm);

/** Every row's term as matching compares it. */
export const termForms = (table: TermTable): string[] => eachTermOnce(table, matchForm);

/** The same text is worked on once, however many ad groups it ran in. */
function eachTermOnce({ term }: TermTable, of: (text: string) => string): string[] {
  const known = new Map<string, string>();
  return term.map((text) => {
    let form = known.get(text);
    if (form === undefined) known.set(text, (form = of(text)));
    return form;
  });
}
