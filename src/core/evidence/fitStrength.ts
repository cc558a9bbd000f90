const GRID = Array.from({ length: 21 }, (_, step) => 0.3 * (25 / 0.3) ** (step / 20));

/**
 * Weight of the prior in orders, by marginal likelihood: orders of a target are negative binomial with shape alpha and
 * mean exposure x m. Maximum over a log grid 0.3-25 with ln alpha ~ N(ln 2, 1).
 */
export function fitStrength(exposure: Float64Array, orders: Float64Array, mean: Float64Array): number {
  const expected = exposure.map((weighted, at) => weighted * mean[at]);
  const lnExpected = expected.map(Math.log);
  let [best, most] = [2, -Infinity];
  for (const alpha of GRID) {
    const lnAlpha = Math.log(alpha);
    let sum = -0.5 * (lnAlpha - Math.LN2) ** 2;
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
    if (sum > most) [best, most] = [alpha, sum];
  }
  return best;
}
