import { useEffect, useState } from 'react';
import { decimalMark, readNumber } from '../../../core/units';
import { TextBox } from '../../shared/kit';

interface CostCellProps {
  label: string;
  /** Inner units for one shown unit. */
  scale: number;
  decimals: number;
  value: number | null;
  /** What counts while nothing is set. */
  usual: number | null;
  /** The new value, null when it was emptied. */
  onChange: (value: number | null) => void;
}

/** A cost that is edited in place: Enter or leaving keeps it, Escape gives up, empty means not known. */
export function CostCell({ label, scale, decimals, value, usual, onChange }: CostCellProps) {
  const shown = value === null ? '' : typed(value / scale, decimals);
  const [text, setText] = useState(shown);
  const [isBad, setBad] = useState(false);
  useEffect(() => {
    setText(shown);
    setBad(false);
  }, [shown]);
  const keep = () => {
    if (text.trim() === shown) return;
    if (text.trim() === '') return onChange(null);
    const number = readNumber(text) ?? NaN;
    const next = scale < 1 ? number * scale : Math.round(number * scale);
    if (!Number.isFinite(next) || next < 0 || (scale < 1 && next > 1)) return setBad(true);
    onChange(next);
  };
  return (
    <TextBox
      className="inCell"
      inputMode="decimal"
      aria-label={label}
      isWrong={isBad}
      title={isBad ? (scale < 1 ? 'A percentage from 0 to 100' : 'An amount of 0 or more') : undefined}
      placeholder={usual === null ? '–' : typed(usual / scale, decimals)}
      value={text}
      letters={5}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === 'Enter') keep();
        if (event.key === 'Escape') {
          setText(shown);
          setBad(false);
        }
      }}
    />
  );
}

const typed = (value: number, decimals: number) => value.toFixed(decimals).replace('.', decimalMark());
