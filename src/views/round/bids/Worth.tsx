import type { BidProposal } from '../../../core/bids';
import { GRADES } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { formatMoney, formatShare } from '../../../core/units';

interface WorthProps {
  proposal: BidProposal;
  table: LensTable;
  row: number;
  currency: string;
}

/** What a click brings and costs, and what target and break-even allow for it. */
export function Worth({ proposal, table, row, currency }: WorthProps) {
  const { rpc, rpcLow, rpcHigh, cpc, conversion, wanted } = proposal;
  const [target, margin] = [table.targetAcos[row], table.margin[row]];
  const lines: [string, string, string][] = [
    [
      `A click brings (80 %, ${GRADES[GRADES.indexOf(conversion.grade)]})`,
      `${formatMoney(rpc)}`,
      `${formatMoney(rpcLow)}–${formatMoney(rpcHigh)}`,
    ],
    ['It costs', formatMoney(cpc), rpc > 0 ? `ACOS ${formatShare(cpc / rpc)}` : ''],
    [`Target ${formatShare(target, 0)} allows`, formatMoney(rpc * target), ''],
    Number.isNaN(margin)
      ? ['Break-even allows', '–', 'costs not known']
      : [`Break-even ${formatShare(margin, 0)} allows`, formatMoney(Math.max(0, rpc * margin)), ''],
    ['Wanted bid', formatMoney(wanted), ''],
  ];
  return (
    <table className="plain" style={{ fontSize: 12.5, marginTop: 8 }} aria-label={`Worth, ${currency}`}>
      <tbody>
        {lines.map(([label, value, more]) => (
          <tr key={label}>
            <td className="faint">{label}</td>
            <td className="figure">{value}</td>
            <td className="figure faint" style={{ whiteSpace: 'nowrap' }}>
              {more}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
