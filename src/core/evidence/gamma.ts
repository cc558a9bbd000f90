// The gamma distribution, as far as the evidence needs it.
// Series and continued fraction of the regularised incomplete gamma function: Numerical Recipes, 3rd ed., 6.2;
// ln Gamma: Lanczos approximation (g = 7, n = 9).

const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** Natural logarithm of the gamma function for x > 0; relative error below 1e-13. */
export function lnGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x);
  const shifted = x - 1;
  let sum = LANCZOS[0];
  for (let i = 1; i < LANCZOS.length; i += 1) sum += LANCZOS[i] / (shifted + i);
  const t = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * Regularised lower incomplete gamma function P(shape, x) = P(X <= x) for X ~ Gamma(shape, rate 1).
 * @param shape > 0
 * @param x >= 0
 */
export function gammaCdf(shape: number, x: number): number {
  if (x <= 0) return 0;
  const front = Math.exp(shape * Math.log(x) - x - knownLnGamma(shape));
  return x < shape + 1 ? (front * lowerSeries(shape, x)) / shape : 1 - front * upperFraction(shape, x);
}

/** Of the same shape there are many: an account has as many shapes as order counts. */
const lnGammas = new Map<number, number>();
const MOST_KNOWN = 10_000;

function knownLnGamma(shape: number): number {
  let known = lnGammas.get(shape);
  if (known === undefined) {
    if (lnGammas.size > MOST_KNOWN) lnGammas.clear();
    lnGammas.set(shape, (known = lnGamma(shape)));
  }
  return known;
}

function lowerSeries(shape: number, x: number): number {
  let term = 1;
  let sum = 1;
  for (let n = 1; n < 1000; n += 1) {
    term *= x / (shape + n);
    sum += term;
    if (term < sum * 1e-15) break;
  }
  return sum;
}

function upperFraction(shape: number, x: number): number {
  const tiny = 1e-300;
  let b = x + 1 - shape;
  let c = 1 / tiny;
  let d = 1 / b;
  let h = d;
  for (let i = 1; i < 1000; i += 1) {
    const an = -i * (i - shape);
    b += 2;
    d = 1 / nonZero(an * d + b, tiny);
    c = nonZero(b + an / c, tiny);
    const step = d * c;
    h *= step;
    if (Math.abs(step - 1) < 1e-15) break;
  }
  return h;
}

function nonZero(value: number, tiny: number): number {
  return Math.abs(value) < tiny ? tiny : value;
}

/**
 * The x with P(X <= x) = p for X ~ Gamma(shape, rate 1), by bisection on ln x: slow, safe, exact to 1e-10.
 * Callers keep results by shape, of which a review has few.
 * @param p in (0, 1)
 */
export function gammaQuantile(p: number, shape: number): number {
  let low = -700;
  let high = Math.log(shape + 40 * Math.sqrt(shape) + 40);
  while (high - low > 1e-10) {
    const middle = (low + high) / 2;
    if (gammaCdf(shape, Math.exp(middle)) < p) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}
