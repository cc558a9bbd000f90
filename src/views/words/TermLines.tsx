import { formatCount, formatMoney } from '../../core/units';
import type { TermLine } from '../shared/wordsEngine/types';

interface TermLinesProps {
  lines: (TermLine & { why?: string })[];
  currency: string;
}

/** Terms with what they came to; with the reason where there is one. */
export function TermLines({ lines, currency }: TermLinesProps) {
  return (
    <table className="plain">
      <thead>
        <tr>
          <th>Term</th>
          <th className="figure">Clicks</th>
          <th className="figure">Orders</th>
          <th className="figure">Spend</th>
          <th className="figure">Sales {currency}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ term, place, sums, why }) => (
          <tr key={term}>
            <td title={place} style={{ overflowWrap: 'anywhere' }}>
              {term}
              {why && <div className="faint">{why}</div>}
            </td>
            <td className="figure">{formatCount(sums.clicks)}</td>
            <td className="figure">{formatCount(sums.orders)}</td>
            <td className="figure">{formatMoney(sums.spend)}</td>
            <td className={`figure${sums.orders > 0 ? ' under' : ''}`}>{formatMoney(sums.sales)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
