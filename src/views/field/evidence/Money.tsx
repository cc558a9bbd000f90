import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { GRADES } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { DASH, formatMoney, formatShare } from '../../../core/units';
import { EvidenceMark, StandingMark } from '../../shared/evidence/marks';
import { Facts } from '../../shared/kit';

/** Gain or loss against target and break-even, in money, and what a click brings against what it costs. */
export function Money({ table, row, currency }: { table: LensTable; row: number; currency: string }) {
  const { spend, sales, clicks } = table.now;
  const [target, margin] = [table.targetAcos[row], table.margin[row]];
  const against = (share: number) => share * sales[row] - spend[row];
  const cpc = clicks[row] > 0 ? spend[row] / clicks[row] : null;
  const line = (label: string, share: number, missing: string) => {
    const gain = against(share);
    return (
      <TableRow>
        <TableCell className="faint">
          {label}
          {share > -9 && ` (${formatShare(share)})`}
        </TableCell>
        <TableCell className={`figure ${Number.isNaN(share) ? '' : gain < 0 ? 'over' : 'under'}`}>
          {Number.isNaN(share) ? (
            <span className="faint">{missing}</span>
          ) : (
            `${gain < 0 ? 'loss' : 'gain'} ${formatMoney(Math.abs(gain))}`
          )}
        </TableCell>
      </TableRow>
    );
  };
  return (
    <Facts sx={{ fontSize: 12.5 }} aria-label="In money">
      <TableBody>
        {line(`Against target`, target, 'no target known')}
        {line('Against break-even', margin, 'costs not known')}
        <TableRow>
          <TableCell className="faint">A click brings {EVIDENCE_WORDS[table.grade[row]]}</TableCell>
          <TableCell className="figure">
            {formatMoney(table.rpc[row])}{' '}
            <span className="faint">
              ({formatMoney(table.rpcLow[row])}–{formatMoney(table.rpcHigh[row])})
            </span>
          </TableCell>
        </TableRow>
        <TableRow>
          <TableCell className="faint">A click costs, {currency}</TableCell>
          <TableCell className="figure">{cpc === null ? DASH : formatMoney(cpc)}</TableCell>
        </TableRow>
        <TableRow>
          <TableCell className="faint">Stands</TableCell>
          <TableCell className="figure">
            <StandingMark standing={table.standing[row]} /> <EvidenceMark grade={table.grade[row]} />{' '}
            {GRADES[table.grade[row]]}
          </TableCell>
        </TableRow>
      </TableBody>
    </Facts>
  );
}

const EVIDENCE_WORDS = ['(80 %, thin)', '(80 %, fair)', '(80 %)'];
