/** Room around a plot for its axes. */
export interface Margin {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

/** Few figures of an axis: 1200 -> "1.2k". */
export function shortNumber(value: number): string {
  const size = Math.abs(value);
  if (size >= 1e6) return `${trim(value / 1e6)}M`;
  if (size >= 1e3) return `${trim(value / 1e3)}k`;
  return trim(value);
}

const trim = (value: number) => String(Number(value.toPrecision(3)));
