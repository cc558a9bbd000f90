import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { formatCount, formatMoney } from '../../core/units';
import type { TermLine } from '../../plans/words';
import { Facts } from '../shared/kit';

interface TermLinesProps {
  lines: (TermLine & { why?: string })[];
  currency: string;
}

/** Terms with what they came to; with the reason where there is one. */
export function TermLines({ lines, currency }: TermLinesProps) {
  return (
    <Facts>
      <TableHead>
        <TableRow>
          <TableCell>Term</TableCell>
          <TableCell className="figure">Clicks</TableCell>
          <TableCell className="figure">Orders</TableCell>
          <TableCell className="figure">Spend {currency}</TableCell>
          <TableCell className="figure">Sales {currency}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map(({ term, place, sums, why }) => (
          <TableRow key={term}>
            <TableCell title={place} sx={{ overflowWrap: 'anywhere' }}>
              {term}
              {why && <div className="faint">{why}</div>}
            </TableCell>
            <TableCell className="figure">{formatCount(sums.clicks)}</TableCell>
            <TableCell className="figure">{formatCount(sums.orders)}</TableCell>
            <TableCell className="figure">{formatMoney(sums.spend)}</TableCell>
            <TableCell className={`figure${sums.orders > 0 ? ' under' : ''}`}>
              {formatMoney(sums.sales)}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Facts>
  );
}
