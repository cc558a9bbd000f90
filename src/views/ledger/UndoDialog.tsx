import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { formatCount, formatMoney, formatShare } from '../../core/units';
import type { UndoAnswer } from '../../contract/changes';

interface UndoDialogProps {
  changed: UndoAnswer['changed'];
  /** How many are to be undone in all. */
  all: number;
  onDone: (choice: 'leave' | 'set-back' | null) => void;
}

const MOST = 12;

/** Asks what to do with changes that something else was set over since. */
export function UndoDialog({ changed, all, onDone }: UndoDialogProps) {
  const rest = all - changed.length;
  return (
    <Dialog open onClose={() => onDone(null)} maxWidth="sm" fullWidth aria-labelledby="undo-title">
      <DialogTitle id="undo-title" className="serif">
        {formatCount(changed.length)} of {formatCount(all)} {changed.length === 1 ? 'was' : 'were'} changed
        since
      </DialogTitle>
      <DialogContent>
        <Box component="ul" sx={{ margin: 0, paddingLeft: '20px' }}>
          {changed.slice(0, MOST).map(({ id, what, where, present }) => (
            <li key={id}>
              {what}, {where}: {presentWords(present)} now
            </li>
          ))}
        </Box>
        {changed.length > MOST && <p className="faint">and {formatCount(changed.length - MOST)} more</p>}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onDone(null)}>Undo nothing</Button>
        {rest > 0 && (
          <Button variant="contained" autoFocus onClick={() => onDone('leave')}>
            Undo the other {formatCount(rest)}
          </Button>
        )}
        <Button onClick={() => onDone('set-back')}>Set all of them back</Button>
      </DialogActions>
    </Dialog>
  );
}

function presentWords(present: UndoAnswer['changed'][number]['present']): string {
  if (present === null) return 'nothing known';
  if (typeof present === 'string') return `it is ${present}`;
  // Bids and budgets are at least a cent; modifiers are at most ten.
  return `it stands at ${present >= 1000 ? formatMoney(present) : formatShare(present, 0)}`;
}
