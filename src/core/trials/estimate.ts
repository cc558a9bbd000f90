/**
 * A settled week of a trial: what its campaigns did with those that advertise the same products (what one gives up, the others take: that is no effect), and
 * what all others did. Money in micros.
 */
export interface TrialWeek {
  isOn: boolean;
  own: WeekSums;
  others: WeekSums;
}

export interface WeekSums {
  clicks: number;
  orders: number;
  spend: number;
  sales: number;
}

export type TrialMeasure = 'sales' | 'spend' | 'acos' | 'orders';

/** By how much weeks that are on differ from weeks that are off, as a share, with its 80 % interval. */
export interface TrialEffect {
  effect: number;
  low: number;
  high: number;
}

export interface TrialEstimate {
  /** Weeks that are known. */
  on: number;
  off: number;
  /** Null where either kind of week has brought nothing yet. */
  effects: Record<TrialMeasure, TrialEffect | null>;
  /** Of sales: effect in standard deviations, and what it must reach this week to be sure already. */
  z: number;
  bound: number;
}

const Z80 = 1.2816;
/**
 * A path of so many looks as one likes leaves this bound in one of twenty trials without effect: 4 (1 - F(2.2414)) = .05, by the reflection of Brownian
 * motion; in a week k of n the bound of z is 2.2414 sqrt(n / k).
 */
const EVER = 2.2414;
/** Chance beyond that of counted orders and clicks. */
const [ORDERS_VARIANCE, CLICKS_VARIANCE] = [1.3, 1.3];

const MEASURES: Record<
  TrialMeasure,
  { of: (sums: WeekSums) => number; variance: (sums: WeekSums) => number }
> = {
  sales: { of: ({ sales }) => sales, variance: ({ orders }) => ORDERS_VARIANCE / orders },
  orders: { of: ({ orders }) => orders, variance: ({ orders }) => ORDERS_VARIANCE / orders },
  spend: { of: ({ spend }) => spend, variance: ({ clicks }) => CLICKS_VARIANCE / clicks },
  // Sales and spend of the same clicks: what the number of clicks brings in falls out.
  acos: {
    of: ({ spend, sales }) => (sales > 0 ? spend / sales : 0),
    variance: ({ orders }) => ORDERS_VARIANCE / orders,
  },
};

/**
 * What the changes of a trial do, from its settled weeks: the log ratio of a week on to a week off, less that of the campaigns that it leaves alone.
 * @param weeks of the whole trial
 */
export function estimateTrial(known: readonly TrialWeek[], weeks: number): TrialEstimate {
  const on = known.filter(({ isOn }) => isOn);
  const off = known.filter(({ isOn }) => !isOn);
  const sums = {
    on: total(on.map(({ own }) => own)),
    off: total(off.map(({ own }) => own)),
    othersOn: total(on.map(({ others }) => others)),
    othersOff: total(off.map(({ others }) => others)),
  };
  const counts = { on: on.length, off: off.length };
  const effects = {} as TrialEstimate['effects'];
  let z = 0;
  for (const measure of Object.keys(MEASURES) as TrialMeasure[]) {
    const found = differ(measure, sums, counts);
    effects[measure] = found && {
      effect: Math.exp(found.log) - 1,
      low: Math.exp(found.log - Z80 * found.sd) - 1,
      high: Math.exp(found.log + Z80 * found.sd) - 1,
    };
    if (measure === 'sales' && found) z = found.log / found.sd;
  }
  return { ...counts, effects, z, bound: EVER * Math.sqrt(weeks / Math.max(1, known.length)) };
}

function differ(
  measure: TrialMeasure,
  sums: Record<'on' | 'off' | 'othersOn' | 'othersOff', WeekSums>,
  { on, off }: { on: number; off: number },
): { log: number; sd: number } | null {
  const { of, variance } = MEASURES[measure];
  const perWeek = measure === 'acos' ? 0 : Math.log(off / on);
  if (on === 0 || off === 0 || of(sums.on) <= 0 || of(sums.off) <= 0) return null;
  if (sums.on.orders === 0 || sums.off.orders === 0) return null;
  const own = Math.log(of(sums.on) / of(sums.off)) + perWeek;
  const ownVariance = variance(sums.on) + variance(sums.off);
  const others = sums.othersOn.orders > 0 && sums.othersOff.orders > 0;
  if (!others) return { log: own, sd: Math.sqrt(ownVariance) };
  const rest = Math.log(of(sums.othersOn) / of(sums.othersOff)) + perWeek;
  return {
    log: own - rest,
    sd: Math.sqrt(ownVariance + variance(sums.othersOn) + variance(sums.othersOff)),
  };
}

const total = (list: readonly WeekSums[]): WeekSums =>
  list.reduce(
    (sum, one) => ({
      clicks: sum.clicks + one.clicks,
      orders: sum.orders + one.orders,
      spend: sum.spend + one.spend,
      sales: sum.sales + one.sales,
    }),
    { clicks: 0, orders: 0, spend: 0, sales: 0 },
  );

/** What a trial has come to. */
export type TrialVerdict = 'better' | 'worse' | 'not told';

/** Sure in one of twenty: better or worse in sales; at the end the 80 % interval decides. @param isOver all its weeks are known */
export function verdictOf({ z, bound, effects }: TrialEstimate, isOver: boolean): TrialVerdict {
  const { sales } = effects;
  if (!sales) return 'not told';
  if (z >= bound || (isOver && sales.low > 0)) return 'better';
  if (z <= -bound || (isOver && sales.high < 0)) return 'worse';
  return 'not told';
}
