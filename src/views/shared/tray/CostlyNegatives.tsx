import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { describeChange } from '../../../core/changes';
import { formatCount, formatMoney } from '../../../core/units';
import type { CostlyNegative, NegativeChecked } from './useNegativeCheck';
import type { TrayState } from './useTray';

interface CostlyNegativesProps {
  check: NegativeChecked;
  tray: TrayState;
  currency: string;
}

/** Negatives that would have blocked sales or a live target: each is confirmed, or taken out. */
export function CostlyNegatives({ check, tray, currency }: CostlyNegativesProps) {
  const { costly, isChecking, fault, confirm } = check;
  if (isChecking) return <p className="faint">Checking the negatives against 90 days of search terms …</p>;
  if (fault)
    return (
      <p role="alert" className="over">
        ▲ The negatives could not be checked against the past: {fault.message} You can still send them.
      </p>
    );
  if (costly.length === 0) return null;
  return (
    <section className="framed" aria-label="Negatives that cost sales">
      <div className="bar">
        <strong className="over">
          ▲ {formatCount(costly.length)} {costly.length === 1 ? 'negative blocks' : 'negatives block'} what
          sold, or a live target
        </strong>
        <span className="faint">confirm or take them out before you send</span>
        <span className="room" />
        {costly.length > 1 && (
          <Button onClick={() => confirm(costly)}>Block all {formatCount(costly.length)} anyway</Button>
        )}
      </div>
      {costly.map((one) => (
        <Box key={one.change.id} className="bar" sx={{ minHeight: 26 }}>
          <Box component="span" sx={{ flex: 1, minWidth: 0 }}>
            {describeChange(one.change.change)}{' '}
            <span className="faint">
              {one.change.campaign}
              {one.change.adGroup ? ` › ${one.change.adGroup}` : ''}:
            </span>{' '}
            {costWords(one, currency)}
          </Box>
          <Button
            onClick={() => confirm([one])}
            aria-label={`Block anyway: ${describeChange(one.change.change)}`}
          >
            Block anyway
          </Button>
          <Button data-may="decide" onClick={() => tray.withdraw.mutate([one.change.id])}>
            Take it out
          </Button>
        </Box>
      ))}
    </section>
  );
}

function costWords({ sums, terms, targets }: CostlyNegative, currency: string): string {
  const sold =
    sums.orders > 0
      ? `${formatCount(sums.orders)} ${sums.orders === 1 ? 'order' : 'orders'}, ${formatMoney(sums.sales)} ${currency} in 90 days (“${terms.slice(0, 3).join('”, “')}”)`
      : '';
  const kept = targets.length > 0 ? `keeps “${targets.slice(0, 3).join('”, “')}” from showing` : '';
  return [sold, kept].filter(Boolean).join('; ');
}
