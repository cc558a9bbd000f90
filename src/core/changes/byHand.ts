import type { Micros } from '../units';

/** How a value (a bid, a budget) is moved by hand. `by` of per cent is a share: -0.15 lowers by 15 %. */
export type HandStep =
  | { kind: 'percent'; by: number }
  | { kind: 'amount'; by: Micros }
  | { kind: 'value'; to: Micros }
  | { kind: 'cpc' }
  | { kind: 'suggested' }
  | { kind: 'wanted' }
  | ({ kind: 'bands' } & AcosBands)
  | { kind: 'floor' };

/**
 * Steps by how a target stands: of the bands it reaches, the one that begins highest is applied, once. A band begins at an ACOS of
 * `from` times the target ACOS; targets without sales have a step of their own once they spent enough.
 */
export interface AcosBands {
  bands: readonly { from: number; by: number }[];
  noSales: { spend: Micros; by: number };
}

/** What a value may be, and on which step it has to stand. Micros. */
export interface ValueLimits {
  step: Micros;
  min: Micros;
  max: Micros;
}

/** What is known of a thing whose value is moved; null: not known. */
export interface HandValue {
  now: Micros | null;
  cpc: Micros | null;
  suggested: Micros | null;
  /** The bid that is worked out for it. */
  wanted: Micros | null;
  /** Spend, sales and target ACOS (share) in the window. */
  spend: Micros;
  sales: Micros;
  targetAcos: number;
}

/** A moved value, and whether it ended at a limit of the market. */
export interface MovedValue {
  to: Micros;
  limit: 'floor' | 'cap' | null;
}

/**
 * A value moved by hand, on the market's step and within its limits. A move by per cent or amount goes at least one step
 * in the wanted direction: rounded down for a decrease, up for an increase.
 * @returns null where what it is moved by or to is not known, or where it would stay as it is
 */
export function moveByHand(value: HandValue, step: HandStep, limits: ValueLimits): MovedValue | null {
  const wanted = wantedOf(value, step, limits);
  if (wanted === null) return null;
  const steps = wanted / limits.step;
  const isDown = value.now !== null && wanted < value.now;
  const isMove = step.kind === 'percent' || step.kind === 'amount' || step.kind === 'bands';
  const whole = !isMove ? Math.round(steps) : isDown ? Math.floor(steps + 1e-9) : Math.ceil(steps - 1e-9);
  const rounded = whole * limits.step;
  const to = Math.min(limits.max, Math.max(limits.min, rounded));
  if (to === value.now) return null;
  return {
    to,
    limit: to > rounded || to === limits.min ? 'floor' : to < rounded || to === limits.max ? 'cap' : null,
  };
}

function wantedOf(value: HandValue, step: HandStep, limits: ValueLimits): Micros | null {
  switch (step.kind) {
    case 'percent':
      return value.now === null || step.by === 0 ? null : value.now * (1 + step.by);
    case 'amount':
      return value.now === null || step.by === 0 ? null : value.now + step.by;
    case 'value':
      return step.to;
    case 'cpc':
      return value.cpc;
    case 'suggested':
      return value.suggested;
    case 'wanted':
      return value.wanted;
    case 'bands': {
      const by = bandStep(value, step);
      return value.now === null || by === 0 ? null : value.now * (1 + by);
    }
    case 'floor':
      return limits.min;
  }
}

/** The one step that bands give a target, share; 0 for none. */
function bandStep(
  { spend, sales, targetAcos }: Pick<HandValue, 'spend' | 'sales' | 'targetAcos'>,
  { bands, noSales }: AcosBands,
): number {
  if (sales <= 0) return noSales.spend > 0 && spend >= noSales.spend ? noSales.by : 0;
  const reached = bands.filter(({ from }) => spend >= from * targetAcos * sales);
  return (
    reached.reduce<{ from: number; by: number } | null>(
      (highest, band) => (highest === null || band.from > highest.from ? band : highest),
      null,
    )?.by ?? 0
  );
}

/**
 * A bid moved by a factor by key or button: on the market's step, at least one step, within its limits. Micros.
 * @param factor for instance 0.95
 */
export function nudged(
  bid: Micros,
  factor: number,
  { bidStep, minBid, maxBid }: { bidStep: Micros; minBid: Micros; maxBid: Micros },
): Micros {
  const rounded = Math.round((bid * factor) / bidStep) * bidStep;
  const moved = rounded === bid ? bid + Math.sign(factor - 1) * bidStep : rounded;
  return Math.min(maxBid, Math.max(minBid, moved));
}
