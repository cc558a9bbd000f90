import type { ReviewData } from '../../contract/review';
import type { TermTable } from '../../core/terms';

/** Search terms as the server sends them, as the core takes them. */
export function toTermTable(rows: ReviewData['rows']): TermTable {
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
    impressions: Float64Array.from(rows.impressions),
    clicks: Float64Array.from(rows.clicks),
    spend: Float64Array.from(rows.spend),
    orders: Float64Array.from(rows.orders),
    units: Float64Array.from(rows.units),
    sales: Float64Array.from(rows.sales),
  };
}
