import Close from '@mui/icons-material/Close';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { PlannedPart, SpendPlan } from '../../../contract/money';
import { isGone } from '../../../core/pace';
import { DASH, formatCount, formatDay, formatMoney, formatShare } from '../../../core/units';
import { Facts, Fault, MoneyField } from '../../shared/kit';
import { PartPlanForm } from './PartPlanForm';
import { usePartPaces } from './usePartPaces';

const SPANS = { day: 'a day', month: 'this month', lifetime: 'its life' } as const;
/** So far from what should be spent by now is marked. */
const [OVER, UNDER] = [1.1, 0.85];
/** The names give way: what they are is told whole by the hover. */
const NAME = {
  maxWidth: 104,
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  whiteSpace: 'nowrap',
  lineHeight: 1.3,
};
const NARROW = { padding: '0 !important', width: 24 };
/** Without cents where there is room for none. */
const short = (micros: number) =>
  micros >= 100e6 ? formatCount(Math.round(micros / 1e6)) : formatMoney(micros);

/** Lines, products and campaigns against what each may spend a day, a month or in its life. */
export function PartPaces({ account }: { account: AccountInfo }) {
  const { parts, error, set, drop } = usePartPaces(account);
  const [isAdding, setAdding] = useState(false);
  return (
    <section aria-label="Plans of parts">
      {parts.length > 0 && (
        <Facts>
          <TableHead>
            <TableRow>
              <TableCell>Parts, {account.currency}</TableCell>
              <TableCell className="figure">May spend</TableCell>
              <TableCell
                className="figure"
                title="Spent so far; of a plan for each day, the last seven on average"
              >
                Spent
              </TableCell>
              <TableCell className="figure" title="Spent, as a share of what should be by now">
                Pace
              </TableCell>
              <TableCell
                className="figure"
                title="What it comes to at this rate, with the 80 % interval; and the day on which the money is gone before its end"
              >
                Forecast
              </TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>{parts.map(rowOf)}</TableBody>
        </Facts>
      )}
      <Fault error={error} />
      <Button onClick={() => setAdding(true)} sx={{ padding: '2px 0' }}>
        Plan a part …
      </Button>
      {isAdding && (
        <PartPlanForm
          account={account}
          onDone={(plan) => {
            setAdding(false);
            if (plan) set(plan);
          }}
        />
      )}
    </section>
  );

  // No component of its own: that would be another one at each drawing, and a figure half typed would be lost.
  function rowOf(part: PlannedPart) {
    const { scope, scopeId, name, span, plan, done, pace, forecast, low, high, goneOn } = part;
    const mark = pace === null ? '' : pace > OVER ? ' over' : pace < UNDER ? ' under' : '';
    const own = (spend: number): SpendPlan | null =>
      span === 'lifetime' ? null : { scope, scopeId, span, spend };
    const kept = own(plan);
    return (
      <TableRow key={`${scope} ${scopeId} ${span}`}>
        <TableCell title={name} sx={NAME}>
          {name}
          <br />
          <span className="faint small">{SPANS[span]}</span>
        </TableCell>
        <TableCell className="figure">
          {kept === null ? (
            short(plan)
          ) : (
            <MoneyField
              label={`${name}, ${SPANS[span]}`}
              isLabelled={false}
              width={76}
              currency=""
              micros={plan}
              least={10_000}
              step={1_000_000}
              onMicros={(next) => set({ ...kept, spend: next })}
            />
          )}
        </TableCell>
        <TableCell className="figure">{short(done)}</TableCell>
        <TableCell className={`figure${mark}`}>
          {pace !== null && pace > OVER && '▲ '}
          {pace !== null && pace < UNDER && '▼ '}
          {formatShare(pace, 0)}
        </TableCell>
        <TableCell
          className="figure"
          title={
            low === null || high === null ? undefined : `${formatMoney(low)}–${formatMoney(high)} (80 %)`
          }
        >
          {forecast === null ? DASH : short(forecast)}
          {goneOn !== null && <span className="over"> gone {formatDay(goneOn)}</span>}
          {isGone(part) && <span className="over"> all spent</span>}
        </TableCell>
        <TableCell sx={NARROW}>
          {kept !== null && (
            <IconButton aria-label={`Drop the plan of ${name}`} size="small" onClick={() => drop(kept)}>
              <Close fontSize="small" />
            </IconButton>
          )}
        </TableCell>
      </TableRow>
    );
  }
}
