/** Money is counted in millionths of the account's currency ("micros"), always a whole number. */
export type Micros = number;

export const MICROS_PER_UNIT = 1_000_000;

/**
 * Writes micros as a plain decimal string, for files and interfaces between programs.
 * At least two decimals, at most six, never rounded: 1_230_000 -> "1.23", 1_234_567 -> "1.234567".
 * Takes bigint too, since sums over years can exceed 2^53 micros.
 */
export function microsToDecimal(micros: Micros | bigint): string {
  const value = BigInt(micros);
  const absolute = value < 0n ? -value : value;
  const whole = absolute / 1_000_000n;
  const fraction = (absolute % 1_000_000n)
    .toString()
    .padStart(6, '0')
    .replace(/0{1,4}$/, '');
  return `${value < 0n ? '-' : ''}${whole}.${fraction}`;
}

/** Decimals of a currency by ISO 4217: 2 for EUR, 0 for JPY, 3 for KWD; 2 where it is not known, 6 at most. @param currency its code */
export function currencyDecimals(currency: string): number {
  let decimals = known.get(currency);
  if (decimals === undefined) known.set(currency, (decimals = decimalsToldOf(currency)));
  return decimals;
}

const known = new Map<string, number>();

function decimalsToldOf(currency: string): number {
  try {
    const { maximumFractionDigits } = new Intl.NumberFormat('en', {
      style: 'currency',
      currency,
    }).resolvedOptions();
    return Math.min(maximumFractionDigits ?? 2, 6);
  } catch {
    return 2; // no code of three letters
  }
}

/** Micros from a number of currency units, rounded half away from zero. Range: |amount| < 9e9. */
export function toMicros(amount: number): Micros {
  return Math.sign(amount) * Math.round(Math.abs(amount) * MICROS_PER_UNIT);
}

/**
 * Rounds a bid down to the market's bid step (for instance 10_000 = 0.01).
 * A value already on a step stays, although floating point may have put it a hair below.
 */
export function roundDownToStep(bid: Micros, step: Micros): Micros {
  return Math.floor((bid + step * 1e-6) / step) * step;
}
