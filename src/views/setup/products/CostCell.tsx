import { useEffect, useState } from 'react';

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
  const shown = value === null ? '' : (value / scale).toFixed(decimals);
  const [text, setText] = useState(shown);
  const [isBad, setBad] = useState(false);
  useEffect(() => {
    setText(shown);
    setBad(false);
  }, [shown]);
  const keep = () => {
    if (text.trim() === shown) return;
    if (text.trim() === '') return onChange(null);
    const number = Number(text.replace(',', '.').replace('%', ''));
    const next = scale < 1 ? number * scale : Math.round(number * scale);
    if (!Number.isFinite(next) || next < 0 || (scale < 1 && next > 1)) return setBad(true);
    onChange(next);
  };
  return (
    <input
      className="figure"
      inputMode="decimal"
      aria-label={label}
      aria-invalid={isBad}
      title={isBad ? (scale < 1 ? 'A percentage from 0 to 100' : 'An amount of 0 or more') : undefined}
      placeholder={usual === null ? '–' : (usual / scale).toFixed(decimals)}
      value={text}
      style={{ width: 54, background: 'transparent', ...(isBad ? { borderColor: 'var(--over)' } : {}) }}
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
