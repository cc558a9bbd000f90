import type { PlayedMarkets, PlayedSums, PlayedTold, PlayedWeek, Spread } from './like';

/** Eight of ten lie between these shares of the list. */
const [LOW, HIGH] = [0.1, 0.9];

/** Mean of a list, and between which eight of ten of it lie (with few, between which all do). */
export function spreadOf(list: readonly number[]): Spread {
  const sorted = [...list].sort((a, b) => a - b);
  const at = (share: number) => {
    const place = share * (sorted.length - 1);
    const [below, above] = [sorted[Math.floor(place)], sorted[Math.ceil(place)]];
    return below + (above - below) * (place - Math.floor(place));
  };
  const sum = sorted.reduce((all, one) => all + one, 0);
  return sorted.length === 0
    ? { mean: 0, low: 0, high: 0 }
    : { mean: sum / sorted.length, low: at(LOW), high: at(HIGH) };
}

/** What playing some markets with something and without it came to. @param margin share; null: profit is not told */
export function tellPlayed(
  played: PlayedMarkets,
  margin: number | null,
  like: PlayedTold['like'],
): PlayedTold {
  const weeks = played.with[0]?.length ?? 0;
  const whole = (list: readonly PlayedWeek[]) =>
    list.reduce((all, one) => ({ spend: all.spend + one.spend, sales: all.sales + one.sales }), NOTHING);
  const totals = { with: played.with.map(whole), without: played.without.map(whole) };
  const profit = ({ spend, sales }: PlayedWeek) => (margin ?? 0) * sales - spend;
  const gained = (of: (sums: PlayedWeek) => number) =>
    totals.with.map((one, at) => of(one) - of(totals.without[at]));
  const [sales, left] = [gained((one) => one.sales), gained(profit)];
  return {
    markets: played.with.length,
    weeks,
    byWeek: Array.from({ length: weeks }, (_, week) => ({
      with: sumsOf(
        played.with.map((list) => list[week]),
        margin,
      ),
      without: sumsOf(
        played.without.map((list) => list[week]),
        margin,
      ),
    })),
    all: { with: sumsOf(totals.with, margin), without: sumsOf(totals.without, margin) },
    gained: { sales: spreadOf(sales), profit: margin === null ? null : spreadOf(left) },
    better: (margin === null ? sales : left).filter((one) => one > 0).length,
    like,
  };
}

const NOTHING: PlayedWeek = { spend: 0, sales: 0 };

function sumsOf(list: readonly PlayedWeek[], margin: number | null): PlayedSums {
  const all = list.reduce(
    (sum, one) => ({ spend: sum.spend + one.spend, sales: sum.sales + one.sales }),
    NOTHING,
  );
  return {
    spend: spreadOf(list.map(({ spend }) => spend)),
    sales: spreadOf(list.map(({ sales }) => sales)),
    acos: all.sales > 0 ? all.spend / all.sales : null,
    profit: margin === null ? null : spreadOf(list.map(({ spend, sales }) => margin * sales - spend)),
  };
}
