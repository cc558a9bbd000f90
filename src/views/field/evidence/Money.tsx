import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { GRADES, lensNamed, showingAt } from '../../../core/lenses';
import type { Guides, Level, LensTable } from '../../../core/lenses';
import { DASH, formatMoney, formatNumber, formatShare } from '../../../core/units';
import { EvidenceMark, StandingMark } from '../../shared/evidence/marks';
import { Facts } from '../../shared/kit';

interface MoneyProps {
  table: LensTable;
  row: number;
  currency: string;
  /** Of the window. */
  days: number;
  guides: Guides;
}

/** Gain or loss against target and break-even, in money, and what a click brings against what it costs. */
export function Money({ table, row, currency, days, guides }: MoneyProps) {
  const { spend, sales, clicks } = table.now;
  const [target, margin] = [table.targetAcos[row], table.margin[row]];
  const against = (share: number) => share * sales[row] - spend[row];
  const showing = showingAt(table, row, days, guides);
  const cpc = clicks[row] > 0 ? spend[row] / clicks[row] : null;
  const line = (label: string, share: number, missing: string) => {
    const gain = against(share);
    return (
      <TableRow>
        <TableCell className="faint">
          {label}
          {share > -9 && ` (${formatShare(share)})`}, {currency}
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
    <>
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
            <TableCell className="faint">
              CTR{usualWords(showing.ctr.usual, (value) => formatShare(value, 2))}
            </TableCell>
            <TableCell className="figure">
              {formatShare(showing.ctr.value, 2)} <LevelWord level={showing.ctr.level} />
            </TableCell>
          </TableRow>
          <TableRow>
            <TableCell className="faint">Shown a day{usualWords(showing.daily.usual, writeDaily)}</TableCell>
            <TableCell className="figure">
              {writeDaily(showing.daily.value)} <LevelWord level={showing.daily.level} />
            </TableCell>
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
      {lensNamed(table.lens).entity === 'product' && (
        <OfferNote table={table} row={row} isPassedOver={showing.isPassedOver} />
      )}
    </>
  );
}

/** Rare ones are told with a digit: half of all terms are shown less than once a day. */
const writeDaily = (value: number) => formatNumber(value, value < 10 ? 1 : 0);

const usualWords = (usual: number | null, write: (value: number) => string) =>
  usual === null ? '' : ` (usual here ${write(usual)})`;

function LevelWord({ level }: { level: Level }) {
  return level === null ? null : <span className={level === 'low' ? 'over' : 'faint'}>{level}</span>;
}

/** What of a product is no matter of bids: told here, once, and not at each of its targets. */
function OfferNote({ table, row, isPassedOver }: { table: LensTable; row: number; isPassedOver: boolean }) {
  const isCreditedMore = table.totalSales[row] < table.now.sales[row];
  return (
    <>
      {isPassedOver && (
        <p className="note">
          It is shown as often as other products and clicked less: a matter of the offer (picture, price,
          rating), not of its bids.
        </p>
      )}
      {isCreditedMore && (
        <p className="note">
          Ads are credited with more than it sold in all: buyers who clicked on it bought other products. What
          was sold without ads cannot be told.
        </p>
      )}
    </>
  );
}

const EVIDENCE_WORDS = ['(80 %, thin)', '(80 %, fair)', '(80 %)'];
