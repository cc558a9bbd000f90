import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { addDays } from '../../../core/units';

interface LossDialogProps {
  count: number;
  today: string;
  onDone: (loss: { until: string; note: string } | null) => void;
}

const USUAL_DAYS = 60;

/** Accepts the loss of targets until a day, with the reason for it: the rank that it brings, say. */
export function LossDialog({ count, today, onDone }: LossDialogProps) {
  const [note, setNote] = useState('');
  const [until, setUntil] = useState(addDays(today, USUAL_DAYS));
  const isGood = until > today;
  return (
    <Dialog open onClose={() => onDone(null)} aria-labelledby="loss-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (isGood) onDone({ until, note: note.trim() });
        }}
      >
        <DialogTitle id="loss-title" className="serif">
          Accept the loss of {count === 1 ? 'this target' : `${count} targets`}
        </DialogTitle>
        <DialogContent style={{ display: 'grid', gap: 14, paddingTop: 8 }}>
          <TextField
            label="Why"
            placeholder="It holds the rank of the crock"
            value={note}
            autoFocus
            size="small"
            onChange={(event) => setNote(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 2000 } }}
          />
          <TextField
            label="Until"
            type="date"
            size="small"
            value={until}
            error={!isGood}
            helperText={isGood ? 'Until then its bid is not proposed.' : 'Choose a day after today.'}
            onChange={(event) => setUntil(event.target.value)}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { min: addDays(today, 1) } }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => onDone(null)}>Not now</Button>
          <Button type="submit" variant="contained" disabled={!isGood}>
            Accept the loss
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
