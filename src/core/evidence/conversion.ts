import { gammaCdf, gammaQuantile } from './gamma';

/**
 * How sure an estimate is: from the width of the 80 % interval of ln(conversion rate),
 * below 0.5 strong, below 1.2 fair, else thin.
 */
export const EVIDENCE_GRADES = ['thin', 'fair', 'strong'] as const;
export type EvidenceGrade = (typeof EVIDENCE_GRADES)[number];

/** What is known of a conversion rate before looking at a row's own clicks. */
export interface ConversionPrior {
  /** Conversion rate that is usual there, orders per click, > 0. */
  mean: number;
  /** Weight of the prior, counted in orders. */
  strength: number;
}

/** Estimate of a conversion rate (orders per click) with its 80 % interval. */
export interface ConversionEstimate {
  mean: number;
  low: number;
  high: number;
  grade: EvidenceGrade;
}

/** The prior counts like this many orders: the middle of what fits marketplace accounts (2 to 4). */
export const PRIOR_ORDERS = 2;

const TAIL = 0.1;
const quantiles = new Map<number, { low: number; high: number; grade: EvidenceGrade }>();

/**
 * Gamma-Poisson estimate of a conversion rate.
 * orders ~ Poisson(clicks x rate), rate ~ Gamma(strength, mean m): posterior Gamma(strength + orders,
 * rate strength / m + clicks). Conjugate prior, see Gelman et al., Bayesian Data Analysis, 2.6.
 * A mean above 1 is cut at 1.
 * @param clicks >= 0 @param orders >= 0
 */
export function estimateConversion(
  clicks: number,
  orders: number,
  prior: ConversionPrior,
): ConversionEstimate {
  const shape = prior.strength + orders;
  const rate = prior.strength / prior.mean + clicks;
  const q = quantilesOf(shape);
  return {
    mean: Math.min(1, shape / rate),
    low: q.low / rate,
    high: Math.min(1, q.high / rate),
    grade: q.grade,
  };
}

/**
 * Conversion rate at which clicks cost just `acos` of the sales they bring: CPC / (acos x order value), orders per click.
 * @param acos share @param orderValue micros, as estimated
 */
export const neededConversion = (cpc: number, acos: number, orderValue: number): number =>
  cpc / (acos * orderValue);

/** Probability that the conversion rate reaches `needed` (orders per click, > 0). */
export function chanceToReach(
  needed: number,
  clicks: number,
  orders: number,
  prior: ConversionPrior,
): number {
  return 1 - gammaCdf(prior.strength + orders, needed * (prior.strength / prior.mean + clicks));
}

/**
 * What the conversion rate brings where it reaches `needed`: E[rate; rate >= needed], orders per click. Divided by chanceToReach it is
 * the mean of the good cases. Of a gamma variable it is mean x Q(shape + 1, needed x rate).
 */
export function meanWhereReached(
  needed: number,
  clicks: number,
  orders: number,
  prior: ConversionPrior,
): number {
  const shape = prior.strength + orders;
  const rate = prior.strength / prior.mean + clicks;
  return (shape / rate) * (1 - gammaCdf(shape + 1, needed * rate));
}

function quantilesOf(shape: number) {
  // Only the shape matters for the width in ln, and there are as many shapes as order counts: computed once each.
  let known = quantiles.get(shape);
  if (!known) {
    const low = gammaQuantile(TAIL, shape);
    const high = gammaQuantile(1 - TAIL, shape);
    const width = Math.log(high / low);
    known = { low, high, grade: width < 0.5 ? 'strong' : width < 1.2 ? 'fair' : 'thin' };
    quantiles.set(shape, known);
  }
  return known;
}
