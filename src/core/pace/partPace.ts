import { addDays, daysIn, formatDay, formatMoney } from '../units';
import type { Day, Micros } from '../units';
import { RATE_DAYS, rateOf, Z80 } from './fundsEnd';
import { lastDayOfMonth, monthPace } from './monthPace';
import type { MoneyWarning } from './warnings';

/** What a plan of spend is for: each day, each month, or the whole life of a campaign. */
export type PlanSpan = 'day' | 'month' | 'lifetime';

/** How a part of the account stands to what it may spend. Money in micros. */
export interface PartPace {
  span: PlanSpan;
  plan: Micros;
  /** Of a day: what the last seven spent on average. */
  done: Micros;
  /** Done as a share of what should be spent by now; null before anything could be. */
  pace: number | null;
  /** What the month, the life, or a day comes to at this rate, with the 80 % interval; null while that cannot be told. */
  forecast: Micros | null;
  low: Micros | null;
  high: Micros | null;
  /** The day on which the money is gone at this rate, where that is before its end; null: it lasts, or is gone already. */
  goneOn: Day | null;
}

/** Whether all of the money is spent. */
export const isGone = ({ span, plan, done }: Pick<PartPace, 'span' | 'plan' | 'done'>): boolean =>
  span !== 'day' && done >= plan;

const WEEK = 7;

/** A month of a part, by its weekdays; and when its money is gone. */
export function monthOfPart(amounts: ReadonlyMap<Day, Micros>, last: Day, plan: Micros): PartPace {
  const { done, pace, forecast, low, high } = monthPace(amounts, last, plan);
  return {
    span: 'month',
    plan,
    done,
    pace,
    forecast,
    low,
    high,
    goneOn: goneBefore(rateOf(amounts, last, RATE_DAYS).mean, last, plan - done, lastDayOfMonth(last)),
  };
}

/** Days of a part: the last seven against what each may spend. Days without a row spent nothing. */
export function daysOfPart(amounts: ReadonlyMap<Day, Micros>, last: Day, plan: Micros): PartPace {
  const { mean, spread } = rateOf(amounts, last, WEEK);
  const width = Z80 * spread * Math.sqrt(1 + 1 / WEEK);
  return {
    span: 'day',
    plan,
    done: mean,
    pace: mean / plan,
    forecast: mean,
    low: Math.max(0, mean - width),
    high: mean + width,
    goneOn: null,
  };
}

/**
 * The life of a campaign whose budget is for all of it: spent so far against the share of its days that is gone.
 * @param amounts spend by day of the last weeks @param spent since it began
 */
export function lifeOfPart(
  amounts: ReadonlyMap<Day, Micros>,
  last: Day,
  { budget, spent, beganOn, endsOn }: { budget: Micros; spent: Micros; beganOn: Day; endsOn: Day },
): PartPace {
  const whole = Math.max(1, daysIn(beganOn, endsOn));
  const gone = Math.min(whole, Math.max(0, last >= beganOn ? daysIn(beganOn, last) : 0));
  const left = whole - gone;
  // A campaign that began last week has no rate of four weeks.
  const days = Math.min(RATE_DAYS, gone);
  const rate = days < WEEK ? null : rateOf(amounts, last, days);
  const forecast = rate === null ? null : spent + left * rate.mean;
  const width = rate === null ? 0 : Z80 * rate.spread * Math.sqrt(left + left ** 2 / days);
  return {
    span: 'lifetime',
    plan: budget,
    done: spent,
    pace: gone === 0 ? null : spent / ((budget * gone) / whole),
    forecast,
    low: forecast === null ? null : Math.max(spent, forecast - width),
    high: forecast === null ? null : forecast + width,
    goneOn: goneBefore(rate?.mean ?? 0, last, budget - spent, endsOn),
  };
}

/** The day on which so much money is gone at a rate a day, where that is before the end. */
function goneBefore(perDay: Micros, last: Day, money: Micros, end: Day): Day | null {
  if (money <= 0) return null;
  const days = perDay > 0 ? Math.ceil(money / perDay) : Infinity;
  return days < daysIn(last, end) - 1 ? addDays(last, days) : null;
}

/** So far above what should be spent by now is told. */
const OVER = 1.1;
const MOST_TOLD = 3;

/** Parts that spend above their plan, those with money gone before the end first. The lives of campaigns are told elsewhere. */
export function partWarnings(
  parts: readonly (PartPace & { name: string })[],
  currency: string,
): MoneyWarning[] {
  const over = parts.filter(({ span, pace }) => span !== 'lifetime' && pace !== null && pace > OVER);
  const isUrgent = (one: PartPace) => one.goneOn !== null || isGone(one);
  const first = [...over.filter(isUrgent), ...over.filter((one) => !isUrgent(one))].slice(0, MOST_TOLD);
  return first.map(({ name, ...one }) => ({
    kind: 'over pace',
    isUrgent: isUrgent(one),
    sentence: overWords(name, one, currency),
  }));
}

function overWords(name: string, part: PartPace, currency: string): string {
  const { span, plan, done, goneOn } = part;
  const [planned, spent] = [formatMoney(plan), formatMoney(done)];
  if (span === 'day') return `“${name}” spends ${spent} ${currency} a day, and ${planned} is planned.`;
  if (isGone(part)) return `“${name}” may spend ${planned} ${currency} this month, and has spent ${spent}.`;
  return goneOn === null
    ? `“${name}” is ahead of its month: ${spent} of ${planned} ${currency} is spent.`
    : `“${name}” may spend ${planned} ${currency} this month, and that is gone about ${formatDay(goneOn)}.`;
}
