import OutlinedInput from '@mui/material/OutlinedInput';
import { useEffect, useId, useState } from 'react';
import type { ReactNode, Ref } from 'react';
import { MICROS_PER_UNIT, currencyDecimals, decimalMark, readNumber, toMicros } from '../../../core/units';

export interface NumberFieldProps {
  label: string;
  /** Null: nothing is set, and the field is empty. */
  value: number | null;
  min: number;
  max?: number;
  /** What an arrow key adds or takes away. */
  step: number;
  /** Stands behind the figure: %, EUR, days. */
  unit?: string;
  /** A longer word on it. */
  title?: string;
  /** Words behind the field. */
  after?: ReactNode;
  /** Whether the label stands in front of it; without, it is only heard. */
  isLabelled?: boolean;
  width?: number;
  /** Digits behind the point at least. */
  decimals?: number;
  isOff?: boolean;
  onChange: (value: number) => void;
  /** The field was emptied; without this an empty field takes its old value again. */
  onNone?: () => void;
  inputRef?: Ref<HTMLInputElement>;
}

/** At most so many digits behind the point are shown. */
const MOST_DECIMALS = 4;

/** A figure as it is typed: never more digits than it has. */
function written(value: number | null, decimals: number): string {
  if (value === null) return '';
  const exact = Number(value.toFixed(MOST_DECIMALS));
  const digits = String(exact).split('.')[1]?.length ?? 0;
  return exact.toFixed(Math.max(decimals, digits)).replace('.', decimalMark());
}

/**
 * A number that tells its value when it is complete: on Enter, on the arrows, on leaving. "1,25" and "1.25" are the same; what is no
 * number, or out of bounds, is said at the field and changes nothing.
 */
export function NumberField(props: NumberFieldProps) {
  const { label, value, min, max = Infinity, step, unit, after, isLabelled = true, decimals = 0 } = props;
  const id = useId();
  const shown = written(value, decimals);
  const [text, setText] = useState(shown);
  useEffect(() => setText(shown), [shown]);
  const number = readNumber(text);
  const isGood = number !== null && number >= min && number <= max;
  const isWrong = text.trim() !== '' && !isGood;
  const tell = () => {
    if (text.trim() === '') {
      if (!props.onNone) setText(shown);
      else if (value !== null) props.onNone();
    } else if (!isGood) setText(shown);
    else if (shown === '' || number !== readNumber(shown)) props.onChange(number);
  };
  const by = (steps: number) => {
    const from = number ?? value ?? 0;
    const next = Math.min(max, Math.max(min, from + steps * step));
    setText(written(next, decimals));
    props.onChange(Number(next.toFixed(MOST_DECIMALS)));
  };
  const bounds = Number.isFinite(max) ? `${min} to ${max}` : `${min} or more`;
  return (
    <span className="labelled">
      {isLabelled && (
        <label htmlFor={id} className="faint">
          {label}
        </label>
      )}
      <OutlinedInput
        id={id}
        inputRef={props.inputRef}
        value={text}
        disabled={props.isOff}
        error={isWrong}
        endAdornment={unit && <span className="unit">{unit}</span>}
        inputProps={{
          inputMode: 'decimal',
          'aria-label': unit ? `${props.title ?? label}, ${unit}` : (props.title ?? label),
          title: isWrong ? `A number, ${bounds}` : props.title,
          className: 'figure',
        }}
        sx={{ width: props.width ?? (unit && unit.length > 1 ? 92 : 68) }}
        onChange={({ target }) => setText(target.value)}
        onBlur={tell}
        onKeyDown={(event) => {
          if (event.key === 'Enter') tell();
          if (event.key === 'Escape') setText(shown);
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          by((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
        }}
      />
      {after && <span className="faint">{after}</span>}
    </span>
  );
}

type Bare = Omit<NumberFieldProps, 'value' | 'onChange' | 'unit' | 'min' | 'max' | 'step'>;

interface MoneyFieldProps extends Bare {
  currency: string;
  /** Micros, as are least, most and step. */
  micros: number | null;
  least?: number;
  most?: number;
  /** The market's step of bids, or what an arrow key adds; the currency's smallest unit by itself. */
  step?: number;
  onMicros: (micros: number) => void;
}

/** An amount in the account's currency, on the market's step. */
export function MoneyField({ micros, currency, least = 0, most, step, onMicros, ...rest }: MoneyFieldProps) {
  const decimals = currencyDecimals(currency);
  return (
    <NumberField
      {...rest}
      value={micros === null ? null : micros / MICROS_PER_UNIT}
      min={least / MICROS_PER_UNIT}
      max={most === undefined ? undefined : most / MICROS_PER_UNIT}
      step={step === undefined ? 10 ** -decimals : step / MICROS_PER_UNIT}
      decimals={decimals}
      unit={currency}
      onChange={(value) => onMicros(toMicros(value))}
    />
  );
}

interface ShareFieldProps extends Bare {
  /** 0.25 is 25 %; so are least, most and step. */
  share: number | null;
  least?: number;
  most?: number;
  step?: number;
  onShare: (share: number) => void;
}

/** A share, shown and typed in per cent. */
export function ShareField({ share, least = 0, most, step = 0.01, onShare, ...rest }: ShareFieldProps) {
  const inPercent = (value: number) => Number((value * 100).toFixed(MOST_DECIMALS));
  return (
    <NumberField
      {...rest}
      value={share === null ? null : inPercent(share)}
      min={inPercent(least)}
      max={most === undefined ? undefined : inPercent(most)}
      step={inPercent(step)}
      unit="%"
      onChange={(value) => onShare(value / 100)}
    />
  );
}
