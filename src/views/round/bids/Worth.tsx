import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { cpcAt } from '../../../core/bids';
import type { BidProposal } from '../../../core/bids';
import { GRADES } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { formatMoney, formatShare } from '../../../core/units';
import { Facts } from '../../shared/kit';

interface WorthProps {
  proposal: BidProposal;
  table: LensTable;
  row: number;
  currency: string;
}

/** What a click brings and costs, and what target and break-even allow for it. */
export function Worth({ proposal, table, row, currency }: WorthProps) {
  const { rpc, rpcLow, rpcHigh, cpc, cpcAfter, conversion, wanted, from, to } = proposal;
  // A dearer bid costs more a click: the two can only be held against what is allowed together.
  const costAt = (bid: number) => `click about ${formatMoney(cpcAt(proposal, bid))}`;
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
    ...(to === from || to === 0
      ? []
      : [
          ['Proposed bid', formatMoney(to), `click about ${formatMoney(cpcAfter)}`] as [
            string,
            string,
            string,
          ],
        ]),
    ...(to === 0 || proposal.left === 'one price'
      ? []
      : [['Wanted bid', formatMoney(wanted), from > 0 ? costAt(wanted) : ''] as [string, string, string]]),
  ];
  return (
    <Facts sx={{ fontSize: 12.5, marginTop: '8px' }} aria-label={`Worth, ${currency}`}>
      <TableBody>
        {lines.map(([label, value, more]) => (
          <TableRow key={label}>
            <TableCell className="faint">{label}</TableCell>
            <TableCell className="figure">{value}</TableCell>
            <TableCell className="figure faint" sx={{ whiteSpace: 'nowrap' }}>
              {more}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Facts>
  );
}
