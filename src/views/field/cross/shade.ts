import type { Cell } from '../../../core/lenses';
import type { Measure } from '../../../core/measures';
import { ratio } from '../../../core/measures';

/** Where a cell's shade comes from: its distance from what it is held against, -1 (well under) … 1 (well over). */
export interface Shade {
  amount: number;
  /** In words, for those who do not see colours. */
  words: string;
}

/** Twice the target, or half of it, is as dark as it gets. */
const DARKEST = Math.LN2;

/**
 * The shade of a cell: ACOS (and ROAS) by their distance from the target that counts there; other ratios by their distance
 * from the grand total; sums have none.
 */
export function shadeOf(cell: Cell, measure: Measure, total: Cell): Shade | null {
  const { spend, sales } = cell.sums;
  const isOfTarget = measure.key === 'acos' || measure.key === 'roas';
  // Nothing is further from its target than money for nothing.
  if (isOfTarget && spend > 0 && sales === 0) return { amount: 1, words: 'spend without sales' };
  const value = measure.of(cell.sums);
  if (value === null || value <= 0) return null;
  if (isOfTarget) {
    const acos = ratio(spend, sales);
    if (acos === null || !cell.targetAcos || !(cell.targetAcos > 0)) return null;
    return shade(Math.log(acos / cell.targetAcos), 'its target', true);
  }
  if (measure.better === null || measure.unit === 'count') return null;
  const whole = measure.of(total.sums);
  if (whole === null || whole <= 0 || ['spend', 'sales'].includes(measure.key)) return null;
  const distance = Math.log(value / whole);
  return shade(measure.better === 'lower' ? distance : -distance, 'the whole', measure.better === 'lower');
}

function shade(distance: number, what: string, isHigherWorse: boolean): Shade {
  const amount = Math.max(-1, Math.min(1, distance / DARKEST));
  const isHigher = isHigherWorse ? amount > 0 : amount < 0;
  const size = Math.abs(distance);
  const off = isHigher ? Math.exp(size) - 1 : 1 - Math.exp(-size);
  return { amount, words: `${Math.round(off * 100)} % ${isHigher ? 'above' : 'below'} ${what}` };
}

/** The background of a shade: clay over, blue-teal under. */
export function shadeColour({ amount }: Shade): string {
  const strength = Math.round(Math.abs(amount) * 34);
  return `color-mix(in srgb, var(${amount > 0 ? '--over' : '--under'}) ${strength}%, transparent)`;
}
