import type { AcosBands } from '../../core/changes';

/** Bands as they are at first; this browser remembers others. Multiples of the target ACOS, shares, micros. */
export const USUAL_BANDS: AcosBands = {
  bands: [
    { from: 2, by: -0.25 },
    { from: 1.33, by: -0.15 },
    { from: 1, by: -0.07 },
    { from: 0.75, by: 0 },
    { from: 0, by: 0.1 },
  ],
  noSales: { spend: 10_000_000, by: -0.3 },
};
