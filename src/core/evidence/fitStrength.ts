const GRID = Array.from({ length: 21 }, (_, step) => 0.3 * (25 / 0.3) ** (step / 20));
/** Places of the grid between those that are looked at first. */
const WIDE = 4;

/**
 * Weight of the prior in orders, by marginal likelihood: orders of a target are negative binomial with shape alpha and
 * mean exposure x m. Maximum over a log grid 0.3-25 with ln alpha ~ N(ln 2, 1).
 */
export function fitStrength(exposure: Float64Array, orders: Float64Array, mean: Float64Array): number {
  const expected = exposure.map((weighted, at) => weighted * mean[at]);
  const lnExpected = expected.map(Math.log);
  const likelihood = (alpha: number): number => {
    const lnAlpha = Math.log(alpha);
    let sum = -0.5 * (lnAlpha - Math.LN2) ** 2;
    // ln(alpha (alpha + 1) ... (alpha + k - 1)), which is all that is needed of the gamma function at whole k.
    const risingLogs = [0];
    for (let at = 0; at < expected.length; at += 1) {
      if (expected[at] === 0) continue;
      const k = Math.round(orders[at]);
      for (let i = risingLogs.length; i <= k; i += 1)
        risingLogs.push(risingLogs[i - 1] + Math.log(alpha + i - 1));
      const lnBoth = Math.log(alpha + expected[at]);
      sum += risingLogs[k] + alpha * (lnAlpha - lnBoth);
      if (k > 0) sum += k * (lnExpected[at] - lnBoth);
    }
    return sum;
  };
  return GRID[peakOf(GRID.length, (place) => likelihood(GRID[place]))];
}

/** Where something with one peak is highest: by wide steps first, then by ever shorter ones around the best. */
function peakOf(places: number, height: (place: number) => number): number {
  const heights = new Map<number, number>();
  const at = (place: number) => {
    if (place < 0 || place >= places) return -Infinity;
    const known = heights.get(place) ?? height(place);
    heights.set(place, known);
    return known;
  };
  let best = 0;
  for (let place = 0; place < places; place += WIDE) if (at(place) > at(best)) best = place;
  for (let step = WIDE / 2; step >= 1; step /= 2) {
    const around = best;
    for (const place of [around - step, around + step]) if (at(place) > at(best)) best = place;
  }
  return best;
}
