import { DAYS_PER_MONTH } from '../units';
import type { Micros } from '../units';
import { quantileOf } from '../evidence';
import { beforeAndAfter, FIRST_ANSWER, freeWeeks } from './effectFeed';
import type { EffectFeed, MadeChange } from './effectFeed';
import { makePools } from './pools';
import type { MeasuredEffect, Moved } from './measured';
import type { Pool, Pools } from './pools';
import { growthOf, outcomeOf } from './outcome';
import type { Outcome, Unit } from './outcome';
import { resample, RESAMPLES } from './resample';
import { expectedOf, verdictOf } from './verdict';

const [LOW, HIGH] = [0.1, 0.9];

/** Measures the effect of sets of changes; pools are worked out once for all of them. */
export function effectMeasure(feed: EffectFeed): (changes: readonly MadeChange[]) => MeasuredEffect {
  const pools = new Map<string, Pools>();
  const poolFor = (day: number, weeks: number, target: number) => {
    const key = `${day} ${weeks}`;
    let found = pools.get(key);
    if (!found) pools.set(key, (found = makePools(feed, feed.weeks.get(day)!, weeks)));
    return found.poolFor(target);
  };
  return (changes) => measure(feed, changes, poolFor);
}

/**
 * Difference in differences (Card and Krueger, 1994): what the targets came to after, over what they would have come to had they gone as
 * untouched ones like them went over the same days of the week. Settled days from the change on against the same weekdays
 * before it, up to the next change on the target. The 80 % interval is a bootstrap over targets (Efron, 1979; clusters: Cameron, Gelbach and
 * Miller, 2008) of changed and compared ones alike.
 */
function measure(
  feed: EffectFeed,
  changes: readonly MadeChange[],
  poolFor: (day: number, weeks: number, target: number) => Pool | null,
): MeasuredEffect {
  const units: Unit[] = [];
  const pools = new Map<Pool, number>();
  let [waiting, days, alone, firstDay] = [0, 0, 0, Infinity];
  const seen = new Set<string>();
  const measured = changes.map(() => 0);
  for (const [at, { day, targets }] of changes.entries()) {
    const around = feed.weeks.get(day);
    firstDay = Math.min(firstDay, day);
    for (const target of targets) {
      const key = `${day} ${target}`;
      if (seen.has(key)) continue;
      seen.add(key);
      const free = around ? freeWeeks(feed.touched[target], around) : 0;
      if (free === 0) {
        waiting += 1;
        continue;
      }
      const pool = poolFor(day, free, target);
      if (!pool) {
        alone += 1;
        continue;
      }
      const length = Math.min(7 * free, around!.settledDays);
      days = Math.max(days, length);
      pools.set(pool, (pools.get(pool) ?? 0) + 1);
      const [spendBefore, spendAfter] = beforeAndAfter(around!.spend, target, free);
      const [salesBefore, salesAfter] = beforeAndAfter(around!.sales, target, free);
      const { margin } = feed.targets[target];
      measured[at] += 1;
      units.push({ pool, days: length, margin, spendBefore, spendAfter, salesBefore, salesAfter });
    }
  }
  const like = [...pools].sort((a, b) => b[1] - a[1])[0]?.[0].like ?? '';
  const rest = { measured: units.length, waiting, days, like };
  if (units.length === 0) {
    const isSummed = changes.length > 0 && changes.every(({ day }) => feed.summed.has(day));
    const verdict = isSummed ? 'summed' : alone > 0 ? 'nothing to compare with' : 'too early';
    const readyOn = isSummed || alone > 0 || !Number.isFinite(firstDay) ? null : firstDay + FIRST_ANSWER;
    return { ...rest, ...NOTHING, verdict, readyOn };
  }
  const known = outcomeOf(units, growthOf);
  const drawn = resample(units);
  const effect = {
    ...rest,
    spend: moved(known.spend, drawn, ({ spend }) => spend),
    sales: moved(known.sales, drawn, ({ sales }) => sales),
    acos: moved(known.spend / known.sales, drawn, ({ spend, sales }) => spend / sales),
    profit: known.hasMargin
      ? { perMonth: known.profit, ...interval(drawn.map(({ profit }) => profit)) }
      : null,
    gained: gainedOf(units),
    expected: expectedOf(changes, measured, units),
    since: sinceOf(units),
    readyOn: null,
  };
  return { ...effect, verdict: verdictOf(effect, units) };
}

const NOTHING = {
  spend: null,
  sales: null,
  acos: null,
  profit: null,
  gained: null,
  expected: null,
  since: { spend: 0, sales: 0 },
};

function gainedOf(units: readonly Unit[]): { spend: Micros; sales: Micros } {
  const gained = { spend: 0, sales: 0 };
  for (const { pool, days, ...one } of units) {
    const went = growthOf(pool);
    gained.spend += ((one.spendAfter - one.spendBefore * went.spend) / days) * DAYS_PER_MONTH;
    gained.sales += ((one.salesAfter - one.salesBefore * went.sales) / days) * DAYS_PER_MONTH;
  }
  return gained;
}

function sinceOf(units: readonly Unit[]): { spend: Micros; sales: Micros } {
  const since = { spend: 0, sales: 0 };
  for (const unit of units) {
    since.spend += (unit.spendAfter / unit.days) * DAYS_PER_MONTH;
    since.sales += (unit.salesAfter / unit.days) * DAYS_PER_MONTH;
  }
  return since;
}

function moved(ratio: number, drawn: readonly Outcome[], read: (outcome: Outcome) => number): Moved | null {
  const known = drawn.map(read).filter((one) => Number.isFinite(one));
  if (!Number.isFinite(ratio) || known.length < RESAMPLES / 2) return null;
  const { low, high } = interval(known.map((one) => one - 1));
  // A single target is drawn smoothed, the figure itself is not.
  return { change: ratio - 1, low: Math.min(low, ratio - 1), high: Math.max(high, ratio - 1) };
}

function interval(drawn: number[]): { low: number; high: number } {
  const sorted = Float64Array.from(drawn).sort();
  return { low: quantileOf(sorted, LOW), high: quantileOf(sorted, HIGH) };
}
