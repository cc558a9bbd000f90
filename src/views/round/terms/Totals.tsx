import { measure } from '../../../core/measures';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { Arranged } from '../../../plans/terms';

/** Totals of what is shown; ratios from the sums. */
export function Totals({ arranged, currency }: { arranged: Arranged; currency: string }) {
  const { totals, rows } = arranged;
  const figures: [string, string][] = [
    ['clicks', formatCount(totals.clicks)],
    ['orders', formatCount(totals.orders)],
    [`spend ${currency}`, formatMoney(totals.spend)],
    [`sales ${currency}`, formatMoney(totals.sales)],
    ['ACOS', formatShare(measure('acos').of(totals))],
    ['conversion', formatShare(measure('cvr').of(totals))],
    ['CPC', formatMoney(measure('cpc').of(totals))],
  ];
  return (
    <p className="note totals" aria-label="Totals of the rows shown">
      {formatCount(rows.length)} {rows.length === 1 ? 'row' : 'rows'}:{' '}
      {figures.map(([label, value]) => (
        <span key={label}>
          {label} <b>{value}</b>
        </span>
      ))}
    </p>
  );
}
