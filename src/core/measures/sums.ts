/** The additive figures of a scope over a window, from which everything else is computed. Money (spend, sales attributed to ads) in micros. */
export const SUM_KEYS = ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const;

export type Sums = Record<(typeof SUM_KEYS)[number], number>;

/** Sums made key by key. */
export function sumsFrom(of: (key: keyof Sums) => number): Sums {
  const sums = {} as Sums;
  for (const key of SUM_KEYS) sums[key] = of(key);
  return sums;
}

export const NO_SUMS: Readonly<Sums> = sumsFrom(() => 0);

/** Adds two sums. */
export const addSums = (a: Sums, b: Sums): Sums => sumsFrom((key) => a[key] + b[key]);
