import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useId } from 'react';
import type { ReactNode } from 'react';
import { useKeys } from '../useKeys';

interface AskProps {
  title: string;
  children: ReactNode;
  /** What is done, in words; null: there is nothing to do but to close. */
  does: string | null;
  /** What closing is called. */
  not?: string;
  isOff?: boolean;
  maxWidth?: 'xs' | 'sm' | 'md' | 'lg';
  onDone: (isWanted: boolean) => void;
}

/** A question that has to be answered before work goes on. Enter does it, Escape does not. */
export function Ask({
  title,
  children,
  does,
  not = 'Not now',
  isOff = false,
  maxWidth = 'sm',
  onDone,
}: AskProps) {
  const id = useId();
  const act = () => !isOff && does !== null && onDone(true);
  // A quick Enter may come before the focus is in the dialog, or on its button.
  useKeys({ enter: act });
  return (
    <Dialog
      open
      maxWidth={maxWidth}
      transitionDuration={0}
      onClose={() => onDone(false)}
      aria-labelledby={id}
      onKeyDown={(event) => {
        if (
          event.key === 'Enter' &&
          !(event.target as HTMLElement).closest('button, textarea, [role="combobox"]')
        )
          act();
      }}
    >
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent>{children}</DialogContent>
      <DialogActions>
        <Button onClick={() => onDone(false)}>{does === null ? 'Close' : not}</Button>
        {does !== null && (
          <Button variant="contained" autoFocus disabled={isOff} onClick={() => onDone(true)}>
            {does}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
