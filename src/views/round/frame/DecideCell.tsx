import Button from '@mui/material/Button';
import { DecideButtons } from './DecideButtons';

export interface DecideCellProps {
  /** What is decided on. */
  id: number;
  name: string;
  decisions: {
    stagedIds: readonly number[];
    put: (ids: readonly number[], verdict: 'left' | 'later') => Promise<void>;
    takeBack: (ids: readonly number[]) => Promise<void>;
  };
  /** Whether the rows shown are those put aside. */
  isAside: boolean;
  /** Whether there is anything to decide on it. */
  isOpen: boolean;
  onAccept: () => void;
}

/** The last cell of a row: take it back, that it waits in the tray, or decide on it. */
export function DecideCell({ id, name, decisions, isAside, isOpen, onAccept }: DecideCellProps) {
  if (isAside)
    return (
      <Button data-may="decide" variant="link" onClick={() => void decisions.takeBack([id])}>
        Take back
      </Button>
    );
  if (decisions.stagedIds.includes(id)) return <span className="faint">in the tray</span>;
  if (!isOpen) return null;
  return (
    <DecideButtons
      name={name}
      onAccept={onAccept}
      onLeave={() => void decisions.put([id], 'left')}
      onLater={() => void decisions.put([id], 'later')}
    />
  );
}
