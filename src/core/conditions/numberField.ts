import type { MeasureUnit } from '../measures';
import type { NumberKey } from './keys';

/** A number field as data. */
export interface NumberField {
  key: NumberKey;
  label: string;
  unit: MeasureUnit;
  decimals: number;
  definition: string;
}

/** A field beyond the measures. */
export function extra<K extends NumberKey>(
  key: K,
  label: string,
  unit: MeasureUnit,
  decimals: number,
  definition: string,
): NumberField & { key: K } {
  return { key, label, unit, decimals, definition };
}
