import type { ReviewData } from '../../contract/review';
import type { Numbers } from '../../core/order';
import type { TermTable } from '../../core/terms';

/** Search terms as the server sends them, as the core takes them. */
export function toTermTable(rows: ReviewData['rows'], historyDays: number): TermTable {
  const numbers = (list: Numbers) => Float64Array.from(list);
  return {
    size: rows.term.length,
    term: rows.term,
    termId: Int32Array.from(rows.termId),
    adGroupId: Int32Array.from(rows.adGroupId),
    campaignId: Int32Array.from(rows.campaignId),
    targetId: Int32Array.from(rows.targetId),
    targetCount: Int32Array.from(rows.targetCount),
    days: Int32Array.from(rows.days),
    firstDay: Int32Array.from(rows.firstDay),
    impressions: numbers(rows.impressions),
    clicks: numbers(rows.clicks),
    spend: numbers(rows.spend),
    orders: numbers(rows.orders),
    units: numbers(rows.units),
    sales: numbers(rows.sales),
    history: {
      days: historyDays,
      clicks: numbers(rows.allClicks),
      spend: numbers(rows.allSpend),
      orders: numbers(rows.allOrders),
      sales: numbers(rows.allSales),
      recent: [
        { days: 30, spend: numbers(rows.spend30), sales: numbers(rows.sales30) },
        { days: 60, spend: numbers(rows.spend60), sales: numbers(rows.sales60) },
        { days: 90, spend: numbers(rows.spend90), sales: numbers(rows.sales90) },
      ],
    },
  };
}
