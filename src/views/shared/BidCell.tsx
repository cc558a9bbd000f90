import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useRef } from 'react';
import { nudged } from '../../core/changes';
import {
  decimalMark,
  decimalsOf,
  formatOnStep,
  MICROS_PER_UNIT,
  readNumber,
  toMicros,
} from '../../core/units';
import { TextBox } from './kit';

interface BidCellProps {
  /** Micros; a share where `isShare`. */
  bid: number;
  /** Of the market, micros. */
  step: number;
  /** Shown and typed in per cent; zero is allowed. */
  isShare?: boolean;
  isEditing: boolean;
  onEdit: () => void;
  /** The new bid in micros, or null when the edit was given up. */
  onDone: (bid: number | null) => void;
}

/** A bid that is edited in place: arrows step by one per cent on the market's step, Enter keeps, Escape gives up. */
export function BidCell({ bid, step, isShare = false, isEditing, onEdit, onDone }: BidCellProps) {
  const isTold = useRef(false);
  useEffect(() => {
    isTold.current = false;
  }, [isEditing]);
  if (!isEditing)
    return (
      <ButtonBase className="editable dotted" onClick={onEdit} title="Edit (e)">
        {isShare ? String(Math.round(bid * 100)) : formatOnStep(bid, step)}
      </ButtonBase>
    );
  // Leaving the field by a key takes it away, and a field that goes may tell that it lost the focus.
  const tell = (next: number | null) => {
    if (isTold.current) return;
    isTold.current = true;
    onDone(next);
  };
  const written = (micros: number) =>
    (micros / MICROS_PER_UNIT).toFixed(decimalsOf(step)).replace('.', decimalMark());
  const read = (text: string) => {
    const value = readNumber(text);
    if (value === null) return null;
    if (isShare) return value >= 0 ? value / 100 : null;
    return value > 0 ? toMicros(value) : null;
  };
  return (
    <TextBox
      className="inCell"
      aria-label={isShare ? 'Per cent' : 'Bid'}
      autoFocus
      defaultValue={isShare ? String(Math.round(bid * 100)) : written(bid)}
      onFocus={(event) => event.target.select()}
      onBlur={(event) => tell(read(event.target.value))}
      onKeyDown={(event) => {
        if (event.key === 'Enter') tell(read(event.currentTarget.value));
        if (event.key === 'Escape') tell(null);
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        event.preventDefault();
        const now = read(event.currentTarget.value) ?? bid;
        if (isShare) {
          const next = Math.max(0, Math.round(now * 100) + (event.key === 'ArrowUp' ? 1 : -1));
          event.currentTarget.value = String(next);
          return;
        }
        const factor = event.key === 'ArrowUp' ? 1.01 : 0.99;
        event.currentTarget.value = written(
          nudged(now, factor, { bidStep: step, minBid: step, maxBid: Infinity }),
        );
      }}
    />
  );
}
