import { decimalsOf, formatNumber, MICROS_PER_UNIT } from '../../core/units';

/** An amount on an axis, with the decimals that it has: 200.0, 0.5, 0.15 EUR; 200, 0.5 JPY. */
export function digits(micros: number): string {
  const units = micros / MICROS_PER_UNIT;
  let decimals = Math.min(1, decimalsOf(MICROS_PER_UNIT));
  while (decimals < 6 && Number(units.toFixed(decimals)) !== Number(units.toFixed(6))) decimals += 1;
  return formatNumber(units, decimals);
}
