/** A search-term report in plain English headings; what a test does not name is unremarkable. */
export interface ReportSpec {
  headings?: string;
  rows?: string[];
  delimiter?: string;
  lineEnd?: string;
}

export const HEADINGS =
  'Date,Campaign ID,Campaign,Ad group ID,Ad group,Target ID,Target,Match type,Search term,Impressions,Clicks,Spend,Orders,Units,Sales,Currency';

/** One row under `HEADINGS`. */
export function aReportRow(over: Partial<Record<string, string | number>> = {}): string {
  const row = {
    day: '2026-10-05',
    campaignId: 'C1',
    campaign: 'Glass weights – auto',
    adGroupId: 'G1',
    adGroup: 'auto',
    targetId: 'T1',
    target: 'near searches',
    match: 'auto',
    term: 'glass weights',
    impressions: 120,
    clicks: 6,
    spend: '3.10',
    orders: 1,
    units: 1,
    sales: '18.90',
    currency: 'EUR',
    ...over,
  };
  return Object.values(row).join(',');
}

export function aReport({
  headings = HEADINGS,
  rows = [aReportRow()],
  delimiter = ',',
  lineEnd = '\n',
}: ReportSpec = {}): string {
  return [headings, ...rows].map((line) => line.replaceAll(',', delimiter) + lineEnd).join('');
}

/** A text as the pieces in which a network might deliver it. */
export async function* inPieces(bytes: Uint8Array | string, size = 7): AsyncGenerator<Uint8Array> {
  const all = typeof bytes === 'string' ? new TextEncoder().encode(bytes) : bytes;
  for (let at = 0; at < all.length; at += size) yield all.subarray(at, at + size);
}

/** A long report: every row a term of its own. @param own tells its campaign from those of other accounts */
export function manyRows(rows: number, own: string): string {
  const common = {
    campaignId: `C-${own}`,
    campaign: `Campaign ${own}`,
    adGroupId: `G-${own}`,
    targetId: `T-${own}`,
  };
  return aReport({
    rows: Array.from({ length: rows }, (_, at) => aReportRow({ ...common, term: `term ${at}` })),
  });
}
