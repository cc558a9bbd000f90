import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { AccountInfo } from '../../../contract/api';
import { formatShare } from '../../../core/units';
import { TrialFigures } from '../../shared/TrialFigures';
import { useSetTarget } from '../../shared/useSetTarget';
import type { TargetTrial } from '../../../plans/bids';

interface TryBarProps {
  account: AccountInfo;
  trial: TargetTrial;
  onBack: () => void;
}

/** What a tried target ACOS would do to the whole account in a month, and the way to keep it or to go back. */
export function TryBar({ account, trial, onBack }: TryBarProps) {
  const { acos } = trial;
  const setTarget = useSetTarget(account);
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
      <TrialFigures trial={trial} currency={account.currency} />
      <span className="room" />
      <Button onClick={onBack}>Back to {formatShare(account.targetAcos, 0)}</Button>
      <Button variant="outlined" onClick={() => void setTarget(acos)}>
        Make it the target
      </Button>
    </Box>
  );
}
