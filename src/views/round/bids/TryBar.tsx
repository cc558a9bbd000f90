import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { AccountInfo } from '../../../contract/api';
import { DASH, MICROS_PER_UNIT, formatCount, formatShare } from '../../../core/units';
import { useSetTarget } from '../../shared/useSetTarget';
import type { TargetTrial } from '../../../plans/bids';

interface TryBarProps {
  account: AccountInfo;
  trial: TargetTrial;
  onBack: () => void;
}

/** What a tried target ACOS would do to the whole account in a month, and the way to keep it or to go back. */
export function TryBar({ account, trial, onBack }: TryBarProps) {
  const { acos, now, after, down, up } = trial;
  const setTarget = useSetTarget(account);
  const ratio = ({ spend, sales }: TargetTrial['now']) => formatShare(sales > 0 ? spend / sales : null);
  const whole = (micros: number | null) =>
    micros === null ? DASH : formatCount(Math.round(micros / MICROS_PER_UNIT));
  const figures: [string, string, string][] = [
    ['spend', whole(now.spend), whole(after.spend)],
    ['sales', whole(now.sales), whole(after.sales)],
    ['ACOS', ratio(now), ratio(after)],
    ['profit', whole(now.profit), whole(after.profit)],
  ];
  return (
    <Box
      role="status"
      aria-label="Tried target"
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: '2px 14px',
        padding: '4px 16px',
        borderTop: '1px solid var(--hairline)',
        fontSize: 12.5,
      }}
    >
      <strong>At {formatShare(acos, 0)}</strong>
      <span>
        {formatCount(down)} bids down, {formatCount(up)} up; a month in {account.currency}:
      </span>
      {figures.map(([label, from, to]) => (
        <span className="oneLine" key={label}>
          <span className="faint">{label}</span> {from} → <strong>{to}</strong>
        </span>
      ))}
      <span className="room" />
      <Button onClick={onBack}>Back to {formatShare(account.targetAcos, 0)}</Button>
      <Button variant="outlined" onClick={() => void setTarget(acos)}>
        Make it the target
      </Button>
    </Box>
  );
}
