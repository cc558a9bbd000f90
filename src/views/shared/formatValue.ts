import { numberField } from '../../core/conditions';
import type { NumberKey } from '../../core/conditions';
import { DASH, formatMoney, formatNumber, formatShare } from '../../core/units';
import type { MeasureUnit } from '../../core/measures';

/** A number in its unit; null is a dash. Shares without their sign: the unit stands in the heading. */
export function formatIn(unit: MeasureUnit, value: number | null, decimals: number): string {
  if (value === null) return DASH;
  if (unit === 'money') return formatMoney(value);
  if (unit === 'share') return formatShare(value, decimals);
  return formatNumber(value, decimals);
}

/** Differences that are not a move of a measure. */
const SIGNED: ReadonlySet<NumberKey> = new Set(['plan.step', 'plan.profit']);

/** A number field of a row; moves carry their sign. */
export function formatField(key: NumberKey, value: number | null): string {
  const { unit, decimals } = numberField(key);
  if (value === null) return DASH;
  if (!key.startsWith('d.') && !SIGNED.has(key)) return formatIn(unit, value, decimals);
  return formatMove(unit, value, decimals);
}

/** A difference with its sign. */
export function formatMove(unit: MeasureUnit, value: number | null, decimals: number): string {
  if (value === null) return DASH;
  const text = formatIn(unit, Math.abs(value), decimals);
  if (!/[1-9]/.test(text)) return text;
  return `${value > 0 ? '+' : '−'}${text}`;
}
