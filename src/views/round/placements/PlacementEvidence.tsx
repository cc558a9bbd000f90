import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { AccountInfo } from '../../../contract/api';
import { placementReason } from '../../../core/placements';
import { measure } from '../../../core/measures';
import { PLACEMENTS, PLACEMENT_LABELS } from '../../../core/structure';
import { DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import { placementAct } from '../../../plans/placements';
import type { PlacementFact, PlacementRow } from '../../../plans/placements';
import { EvidenceName } from '../../shared/evidence/EvidenceName';
import { RunsNow } from '../../shared/hours/RunsNow';
import { Facts } from '../../shared/kit';
import { LaterForm } from '../bids/LaterForm';
import { StepEvidence } from '../frame/StepEvidence';
import type { PlacementWork } from './usePlacementWork';

interface PlacementEvidenceProps {
  account: AccountInfo | undefined;
  work: PlacementWork;
  row: number | null;
}

/** Why the focused campaign is proposed, and its placements side by side. */
export function PlacementEvidence({ account, work, row }: PlacementEvidenceProps) {
  const { loaded, plan, decisions } = work;
  return (
    <StepEvidence>
      {account && loaded && plan && row !== null && plan.rows[row] ? (
        <>
          <EvidenceName name={loaded.table.name[row]} place={loaded.table.place[row]} />
          <RunsNow account={account} campaignId={loaded.table.campaignId[row]} />
          <p className="line">{placementReason(plan.rows[row])}</p>
          <div className="bar">
            <LaterForm
              today={account.today}
              onLater={(until) => void decisions.put([plan.rows[row].campaignId], 'later', { until })}
            />
          </div>
          <SideBySide
            row={plan.rows[row]}
            currency={account.currency}
            act={placementAct(plan.rows[row], decisions.edits.get(plan.rows[row].campaignId))}
          />
        </>
      ) : null}
    </StepEvidence>
  );
}

type Line = [label: string, cell: (one: PlacementFact, at: number) => string];

interface SideBySideProps {
  row: PlacementRow;
  currency: string;
  act: ReturnType<typeof placementAct>;
}

const HEADS = { top: 'Top', rest: 'Rest', pages: 'Pages' };
const share = (value: number | null, digits = 1) => (value === null ? DASH : formatShare(value, digits));

/** What each placement did in the window, what a click is worth there, and what is bid for it before and after. */
function SideBySide({ row, currency, act }: SideBySideProps) {
  const { placements, bid } = row;
  const spent = placements.reduce((sum, { sums }) => sum + sums.spend, 0);
  const of = (key: 'ctr' | 'cvr' | 'acos', { sums }: PlacementFact) => share(measure(key).of(sums));
  const raised = (bids: number, modifier: number) => (bids > 0 ? formatMoney(bids * (1 + modifier)) : DASH);
  const lines: Line[] = [
    ['Impressions', ({ sums }) => formatCount(sums.impressions)],
    ['Clicks', ({ sums }) => formatCount(sums.clicks)],
    ['CTR', (one) => of('ctr', one)],
    ['CPC', ({ sums }) => formatMoney(measure('cpc').of(sums))],
    ['Orders', ({ sums }) => formatCount(sums.orders)],
    ['Conversion', (one) => of('cvr', one)],
    ['Spend', ({ sums }) => formatMoney(sums.spend)],
    ['of all', ({ sums }) => share(spent > 0 ? sums.spend / spent : null, 0)],
    ['Sales', ({ sums }) => formatMoney(sums.sales)],
    ['ACOS', (one) => of('acos', one)],
    ['Sales per click', ({ rpc, sums }) => (sums.clicks > 0 ? formatMoney(rpc) : DASH)],
    [
      '80 %',
      ({ rpcLow, rpcHigh, sums }) =>
        sums.clicks > 0 ? `${formatMoney(rpcLow)}–${formatMoney(rpcHigh)}` : DASH,
    ],
    ['Worth, of rest', ({ worth }) => worth.ratio.toFixed(2)],
    ['80 %', ({ worth }) => (worth.low === 1 ? DASH : `${worth.low.toFixed(2)}–${worth.high.toFixed(2)}`)],
    ['Modifier now', ({ from }) => formatShare(from, 0)],
    ['after', (_, at) => formatShare(act.to[at], 0)],
    ['Bid there now', ({ from }) => raised(bid, from)],
    ['after', (_, at) => raised(bid * act.bases, act.to[at])],
  ];
  return (
    <>
      <Facts sx={{ fontSize: 12, marginTop: '8px' }} aria-label={`Placements side by side, ${currency}`}>
        <TableHead>
          <TableRow>
            <TableCell className="faint">{currency}</TableCell>
            {PLACEMENTS.map((placement) => (
              <TableCell key={placement} className="figure" title={PLACEMENT_LABELS[placement]}>
                {HEADS[placement]}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map(([label, cell], index) => (
            <TableRow key={index}>
              <TableCell className="faint">{label}</TableCell>
              {placements.map((one, at) => (
                <TableCell key={at} className="figure" sx={{ whiteSpace: 'nowrap' }}>
                  {cell(one, at)}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      <p className="note">
        {bid > 0
          ? `Base bids ${formatMoney(bid)} on average, each weighted by its clicks; ${formatCount(row.targets)} targets run.`
          : 'Nothing runs in it.'}
      </p>
    </>
  );
}
