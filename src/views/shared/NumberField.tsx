import { useEffect, useState } from 'react';

interface NumberFieldProps {
  label: string;
  /** Null: nothing is set, and the field is empty. */
  value: number | null;
  min: number;
  step: number;
  width?: number;
  onChange: (value: number) => void;
  /** The field was emptied; without this an empty field takes its old value again. */
  onNone?: () => void;
}

/** A small number field that tells its value when it is complete: on Enter, on the arrows, on leaving. */
export function NumberField({ label, value, min, step, width = 54, onChange, onNone }: NumberFieldProps) {
  const shown = value === null ? '' : String(Number(value.toFixed(2)));
  const [text, setText] = useState(shown);
  useEffect(() => setText(shown), [shown]);
  const tell = (next: string) => {
    const number = Number(next.replace(',', '.'));
    if (next.trim() === '' && onNone) return value === null ? undefined : onNone();
    if (next.trim() === '' || !Number.isFinite(number) || number < min) return setText(shown);
    if (shown === '' || number !== Number(shown)) onChange(number);
    return undefined;
  };
  return (
    <label
      style={{ display: 'inline-flex', alignItems: 'center', gap: 5, whiteSpace: 'nowrap', flexShrink: 0 }}
      className="faint"
    >
      <input
        className="figure"
        inputMode="decimal"
        value={text}
        aria-label={label}
        style={{
          width,
          font: 'inherit',
          color: 'var(--ink)',
          background: 'transparent',
          border: '1px solid var(--hairline)',
          borderRadius: 3,
          padding: '2px 4px',
        }}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => tell(text)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') tell(text);
          if (event.key === 'Escape') setText(shown);
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          const next = Math.max(min, Number(text) + (event.key === 'ArrowUp' ? step : -step));
          onChange(Number(next.toFixed(4)));
        }}
      />
      {label}
    </label>
  );
}
