import { dayNumber } from '../units';
import type { Day } from '../units';

/** Orders of a day that were visible at an age (days after the day). */
export interface OrderSnapshot {
  day: Day;
  age: number;
  orders: number;
}

/** Share of a day's final orders that is visible at an age, with its 80 % interval. */
export interface Completion {
  age: number;
  share: number;
  low: number;
  high: number;
}

/** Orders are taken as final at this age. */
export const FINAL_AGE = 14;
/** A day is settled once this share of its orders is in. */
export const SETTLED_SHARE = 0.95;

/** What is usual where nothing is known yet: the share visible at each age, 0 to 14. */
const USUAL = [0.62, 0.72, 0.8, 0.84, 0.87, 0.9, 0.93, 0.95, 0.96, 0.97, 0.98, 0.985, 0.99, 0.995, 1];
/** The usual curve counts like this many orders. */
const PRIOR_ORDERS = 20;
/** Standard normal quantile of 90 %: both sides leave 10 % out. */
const Z = 1.2816;

/**
 * How late orders arrive, by chain ladder over days of which two ages were seen: c(14) = 1,
 * c(a) = c(a+1) x (sum of orders at a + 20 g_a) / (sum of orders at a+1 + 20), g_a the usual ratio (Mack, 1993, "Distribution-free
 * calculation of the standard error of chain ladder reserve estimates", without its error model). The interval of each
 * share is Wilson's for the orders it was learnt from. Never falls with age.
 * @param snapshots of one account or product
 */
export function completionCurve(snapshots: readonly OrderSnapshot[]): Completion[] {
  const seen = new Map(snapshots.map(({ day, age, orders }) => [`${day} ${age}`, orders]));
  const curve: Completion[] = new Array(FINAL_AGE + 1);
  let share = 1;
  let known = PRIOR_ORDERS;
  curve[FINAL_AGE] = { age: FINAL_AGE, share: 1, low: 1, high: 1 };
  for (let age = FINAL_AGE - 1; age >= 0; age -= 1) {
    let here = 0;
    let next = 0;
    for (const one of snapshots) {
      if (one.age !== age) continue;
      const later = seen.get(`${one.day} ${age + 1}`);
      if (later === undefined) continue;
      here += one.orders;
      next += later;
    }
    const usual = USUAL[age] / USUAL[age + 1];
    share *= Math.min(1, (here + PRIOR_ORDERS * usual) / (next + PRIOR_ORDERS));
    known = Math.max(PRIOR_ORDERS, age === FINAL_AGE - 1 ? next : Math.min(known, next + PRIOR_ORDERS));
    curve[age] = { age, share, ...wilson(share, known) };
  }
  return curve;
}

/** Wilson's interval of a share seen in `count` trials (Wilson, 1927). */
function wilson(share: number, count: number): { low: number; high: number } {
  const scale = 1 + (Z * Z) / count;
  const middle = (share + (Z * Z) / (2 * count)) / scale;
  const spread = (Z * Math.sqrt((share * (1 - share)) / count + (Z * Z) / (4 * count * count))) / scale;
  return { low: Math.max(0, middle - spread), high: Math.min(1, middle + spread) };
}

/** The share of a day's orders that is visible on the morning of `today`. */
export function completionOf(curve: readonly Completion[], day: Day, today: Day): number {
  const age = dayNumber(today) - 1 - dayNumber(day);
  return age >= FINAL_AGE ? 1 : age < 0 ? 0 : curve[age].share;
}

/** Whole days that are not settled yet, before `today`: their count. */
export function unsettledDays(curve: readonly Completion[]): number {
  return curve.find(({ share }) => share >= SETTLED_SHARE)?.age ?? FINAL_AGE;
}
