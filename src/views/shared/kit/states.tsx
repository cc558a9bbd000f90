import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import LinearProgress from '@mui/material/LinearProgress';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import { tryWorkersAgain } from '../worker/pageWorker';

/** A quick answer shows no sign of waiting: it would only flicker. */
const SHOWN_AFTER_MS = 300;

/** What is being waited for, in words. */
export function Loading({ children }: { children: ReactNode }) {
  const [isSlow, setSlow] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSlow(true), SHOWN_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <p role="status" className="state faint" data-slow={isSlow || undefined}>
      {isSlow && <CircularProgress size={14} thickness={5} aria-hidden />} {children}
    </p>
  );
}

interface EmptyProps {
  /** What is not there. */
  children: ReactNode;
  /** Why that is so. */
  why?: ReactNode;
  /** What can be done about it. */
  next?: ReactNode;
}

/** Nothing to show: what, why, and what to do next. */
export function Empty({ children, why, next }: EmptyProps) {
  return (
    <div className="state">
      <p className="serif">{children}</p>
      {why && <p className="faint">{why}</p>}
      {next && <div className="bar">{next}</div>}
    </div>
  );
}

/** Faults of the program itself; what others threw is a sentence already. */
const OWN_FAULTS = ['RangeError', 'TypeError', 'ReferenceError', 'DataCloneError'];

/** What went wrong in words. */
const sentence = ({ name, message }: Error) =>
  OWN_FAULTS.includes(name) ? `The computation failed: ${message}.` : message;

/** What went wrong, and a way to go on. */
export function Trouble({ error, onAgain }: { error: Error; onAgain?: () => void }) {
  const client = useQueryClient();
  const again = () => {
    tryWorkersAgain();
    // What the worker held went with it; what failed is asked anew.
    void client.resetQueries({
      predicate: ({ meta, state }) => meta?.inWorker === true || state.status === 'error',
    });
    onAgain?.();
  };
  return (
    <div className="state" role="alert">
      <span className="over">{sentence(error)}</span> <Button onClick={again}>Try again</Button>
    </div>
  );
}

/** A fault in one line, beside what it is about. */
export function Fault({ error }: { error: Error | null | undefined }) {
  if (!error) return null;
  return (
    <span role="alert" className="over">
      {error.message}
    </span>
  );
}

interface ProgressProps {
  label: string;
  /** 0 to 1; null while nobody can tell. */
  share: number | null;
  /** Seconds; null while nobody can tell. */
  left?: number | null;
  children?: ReactNode;
}

/** How far something is, and how long it will take. */
export function Progress({ label, share, left = null, children }: ProgressProps) {
  return (
    <div className="progress">
      <LinearProgress
        aria-label={label}
        variant={share === null ? 'indeterminate' : 'determinate'}
        value={share === null ? undefined : share * 100}
      />
      <span className="faint">
        {children}
        {left !== null && left > 0 && ` · ${timeLeft(left)}`}
      </span>
    </div>
  );
}

/** @param seconds as "20 s left" or "4 min left" */
export function timeLeft(seconds: number): string {
  return seconds < 90 ? `${Math.max(1, Math.round(seconds))} s left` : `${Math.round(seconds / 60)} min left`;
}
