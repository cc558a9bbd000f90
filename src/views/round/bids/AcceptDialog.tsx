import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { formatCount } from '../../../core/units';
import { useKeys } from '../../shared/useKeys';
import type { BidSummary } from '../../../plans/bids';
import { summaryWords } from '../../../plans/bids';

interface AcceptDialogProps {
  summary: BidSummary;
  currency: string;
  onDone: (isWanted: boolean) => void;
}

/** What accepting many proposals at once comes to, before it is done. */
export function AcceptDialog({ summary, currency, onDone }: AcceptDialogProps) {
  const { does, brings } = summaryWords(summary, currency);
  const accept = () => summary.count > 0 && onDone(true);
  // A quick Enter may come before the focus is in the dialog, or on its button.
  useKeys({ enter: accept });
  return (
    <Dialog
      open
      onClose={() => onDone(false)}
      aria-labelledby="accept-title"
      onKeyDown={(event) => {
        if (event.key === 'Enter' && !(event.target as HTMLElement).closest('button')) accept();
      }}
    >
      <DialogTitle id="accept-title" className="serif">
        Accept {formatCount(summary.count)} {summary.count === 1 ? 'proposal' : 'proposals'}?
      </DialogTitle>
      <DialogContent>
        <p style={{ margin: '0 0 6px' }}>{does || 'Nothing would change.'}.</p>
        {summary.count > 0 && <p style={{ margin: '0 0 6px' }}>Expected: {brings}.</p>}
        <p className="faint" style={{ margin: 0 }}>
          They go to the tray; nothing is sent yet, and u takes them back.
        </p>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onDone(false)}>Not now</Button>
        <Button variant="contained" autoFocus disabled={summary.count === 0} onClick={() => onDone(true)}>
          Accept {formatCount(summary.count)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
