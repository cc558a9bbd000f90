import { GRADES } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';
import { DASH, formatMoney, formatShare } from '../../../core/units';
import { EvidenceMark, StandingMark } from '../../shared/evidence/marks';

/** Gain or loss against target and break-even, in money, and what a click brings against what it costs. */
export function Money({ table, row, currency }: { table: LensTable; row: number; currency: string }) {
  const { spend, sales, clicks } = table.now;
  const [target, margin] = [table.targetAcos[row], table.margin[row]];
  const against = (share: number) => share * sales[row] - spend[row];
  const cpc = clicks[row] > 0 ? spend[row] / clicks[row] : null;
  const line = (label: string, share: number, missing: string) => {
    const gain = against(share);
    return (
      <tr>
        <td className="faint">
          {label}
          {share > -9 && ` (${formatShare(share)})`}
        </td>
        <td className={`figure ${Number.isNaN(share) ? '' : gain < 0 ? 'over' : 'under'}`}>
          {Number.isNaN(share) ? (
            <span className="faint">{missing}</span>
          ) : (
            `${gain < 0 ? 'loss' : 'gain'} ${formatMoney(Math.abs(gain))}`
          )}
        </td>
      </tr>
    );
  };
  return (
    <table className="plain" style={{ fontSize: 12.5 }} aria-label="In money">
      <tbody>
        {line(`Against target`, target, 'no target known')}
        {line('Against break-even', margin, 'costs not known')}
        <tr>
          <td className="faint">A click brings {EVIDENCE_WORDS[table.grade[row]]}</td>
          <td className="figure">
            {formatMoney(table.rpc[row])}{' '}
            <span className="faint">
              ({formatMoney(table.rpcLow[row])}–{formatMoney(table.rpcHigh[row])})
            </span>
          </td>
        </tr>
        <tr>
          <td className="faint">A click costs, {currency}</td>
          <td className="figure">{cpc === null ? DASH : formatMoney(cpc)}</td>
        </tr>
        <tr>
          <td className="faint">Stands</td>
          <td className="figure">
            <StandingMark standing={table.standing[row]} /> <EvidenceMark grade={table.grade[row]} />{' '}
            {GRADES[table.grade[row]]}
          </td>
        </tr>
      </tbody>
    </table>
  );
}

const EVIDENCE_WORDS = ['(80 %, thin)', '(80 %, fair)', '(80 %)'];
