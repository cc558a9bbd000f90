import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { monthAt, monthNow, proposalAt } from '../../../core/bids';
import type { BidSettings, Month, PlanColumns } from '../../../core/bids';
import type { LensTable } from '../../../core/lenses';
import { formatMoney, formatNumber, formatShare } from '../../../core/units';
import { api } from '../../shared/api';
import { hasBids } from '../../shared/offered';
import { actOf, turnedPause } from '../../../plans/bids';
import type { BidDecisions } from './useBidWork';
import { Facts } from '../../shared/kit';

interface BidSliderProps {
  account: AccountInfo;
  plan: PlanColumns;
  table: LensTable;
  row: number;
  settings: BidSettings;
  decisions: BidDecisions;
}

/** A bid to be moved, and what a month at it comes to; the market's suggested range beside it. */
export function BidSlider({ account, plan, table, row, settings, decisions }: BidSliderProps) {
  const id = table.targetId[row];
  const { from, to: proposed } = proposalAt(plan, row);
  const act = actOf(plan, table, decisions.edits, row);
  const { bidStep, minBid, maxBid } = settings.limits;
  const isBid = hasBids(account);
  const suggestion = useQuery({
    queryKey: ['suggestions', account.id, [id]],
    queryFn: () => api.suggestBids(account.id, [id]),
    enabled: account.connected && isBid,
    staleTime: 60_000,
    retry: false,
  });
  const suggested = suggestion.data?.bids[0] ?? null;
  const most = Math.min(maxBid, Math.max(from * 2, proposed * 1.5, suggested?.high ?? 0, minBid * 10));
  const now = monthNow(plan, row);
  const after = act.isPause ? act.after : monthAt(now, act.to / from);
  const marks = [
    { value: from, label: 'now' },
    ...(Math.abs(proposed - from) > most / 8 ? [{ value: proposed, label: 'proposed' }] : []),
  ];
  return (
    <div>
      <Box className="bar" sx={{ justifyContent: 'space-between' }}>
        <span>
          Bid <strong>{act.isPause ? 'paused' : formatMoney(act.to)}</strong>{' '}
          <span className="faint">{account.currency}</span>
        </span>
        {decisions.edits.has(id) && isBid && (
          <Button onClick={() => decisions.edit(id, null)} sx={{ padding: '0 6px' }}>
            Back to {formatMoney(proposed)}
          </Button>
        )}
        <Button
          data-may="decide"
          onClick={() => decisions.edit(id, turnedPause(act, proposed))}
          title={act.isPause ? 'Do not pause (p)' : 'Pause instead of a bid (p)'}
          sx={{ padding: '0 6px' }}
        >
          {act.isPause ? 'Do not pause' : 'Pause instead'}
        </Button>
      </Box>
      {isBid && (
        <Box sx={{ padding: '0 10px' }}>
          <Slider
            size="small"
            aria-label="Bid"
            value={act.to}
            min={minBid}
            max={most}
            step={bidStep}
            marks={marks}
            valueLabelDisplay="auto"
            valueLabelFormat={formatMoney}
            getAriaValueText={formatMoney}
            disabled={act.isPause}
            onChange={(_, next) => decisions.edit(id, { kind: 'bid', to: next as number })}
            sx={{ marginBottom: '18px', '& .MuiSlider-markLabel': { fontSize: 11, top: 24 } }}
          />
        </Box>
      )}
      <Facts sx={{ fontSize: 12.5 }} aria-label="Forecast of a month">
        <TableHead>
          <TableRow>
            <TableCell>A month</TableCell>
            {HEADINGS.map((heading) => (
              <TableCell key={heading} className="figure">
                {heading}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          <Line label="now" month={now} />
          <Line label={act.isPause ? 'paused' : 'at this bid'} month={after} />
        </TableBody>
      </Facts>
      {isBid && (
        <p className="note">
          {suggested
            ? `The market suggests ${formatMoney(suggested.bid)} (${formatMoney(suggested.low)}–${formatMoney(suggested.high)}).`
            : suggestion.isLoading
              ? 'Asking the market for its suggestion …'
              : 'The market has no suggestion for it.'}
        </p>
      )}
    </div>
  );
}

const HEADINGS = ['Clicks', 'CPC', 'Spend', 'Sales', 'ACOS'];

function Line({ label, month: { clicks, spend, sales } }: { label: string; month: Month }) {
  return (
    <TableRow>
      <TableCell className="faint" sx={{ whiteSpace: 'nowrap' }}>
        {label}
      </TableCell>
      <TableCell className="figure">{formatNumber(clicks, clicks < 10 ? 1 : 0)}</TableCell>
      <TableCell className="figure">{formatMoney(clicks > 0 ? spend / clicks : null)}</TableCell>
      <TableCell className="figure">{formatMoney(spend)}</TableCell>
      <TableCell className="figure">{formatMoney(sales)}</TableCell>
      <TableCell className="figure">{formatShare(sales > 0 ? spend / sales : null)}</TableCell>
    </TableRow>
  );
}
