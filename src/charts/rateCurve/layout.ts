import { largest } from '../../core/order';
import { scaleLinear } from 'd3-scale';
import { lnGamma } from '../../core/evidence';

/** A gamma distribution of a conversion rate: shape, and rate in clicks. */
export interface RateBelief {
  shape: number;
  rate: number;
}

export interface RateCurveLayout {
  prior: string;
  posterior: string;
  neededX: number | null;
  ticks: { at: number; value: number }[];
}

const STEPS = 80;

function density({ shape, rate }: RateBelief, x: number): number {
  return Math.exp(shape * Math.log(rate) + (shape - 1) * Math.log(x) - rate * x - lnGamma(shape));
}

/** Lays out what is believed of a conversion rate before and after its own clicks, each curve to full height. */
export function layOutRateCurve(
  prior: RateBelief,
  posterior: RateBelief,
  needed: number | null,
  width: number,
  height: number,
): RateCurveLayout {
  const spread = (belief: RateBelief) => (belief.shape + 3.2 * Math.sqrt(belief.shape)) / belief.rate;
  const far = Math.min(
    1,
    Math.max(spread(prior), spread(posterior), needed === null ? 0 : Math.min(needed * 1.15, 0.6)),
  );
  const x = scaleLinear([0, far], [0, width]);
  const path = (belief: RateBelief) => {
    const values = Array.from({ length: STEPS }, (_, at) => density(belief, ((at + 0.5) / STEPS) * far));
    const top = largest(values);
    const points = values.map(
      (value, at) =>
        `${x(((at + 0.5) / STEPS) * far).toFixed(1)},${(height - (value / top) * (height - 6)).toFixed(1)}`,
    );
    return `M0,${height}L${points.join('L')}L${width},${height}Z`;
  };
  return {
    prior: path(prior),
    posterior: path(posterior),
    neededX: needed === null || needed > far ? null : x(needed),
    ticks: x.ticks(4).map((value) => ({ at: x(value), value })),
  };
}
