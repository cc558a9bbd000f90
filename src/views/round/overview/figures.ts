import { addSums, businessMeasure, measure, NO_SUMS } from '../../../core/measures';
import type { BusinessMeasureKey, BusinessSums, MeasureKey, MeasureUnit } from '../../../core/measures';
import type { OverviewAnswer, OverviewDay } from '../../../contract/field';

/** One figure of the whole account, beside the window before. */
export interface Figure {
  key: string;
  label: string;
  definition: string;
  unit: MeasureUnit;
  decimals: number;
  better: 'higher' | 'lower' | null;
  now: number | null;
  before: number | null;
}

/** Sums of the days of a span; total sales are not known unless every day with sales knows them. */
export function sumDays(days: readonly OverviewDay[], from: string, to: string): BusinessSums {
  const inside = days.filter(({ day }) => day >= from && day <= to);
  const knows = inside.length > 0 && inside.every(({ totalSales }) => totalSales !== null);
  return {
    ...inside.reduce((sum, one) => addSums(sum, one), NO_SUMS),
    totalSales: knows ? inside.reduce((sum, { totalSales }) => sum + totalSales!, 0) : null,
    margin: null,
  };
}

const SHOWN: (MeasureKey | BusinessMeasureKey)[] = [
  'spend',
  'sales',
  'acos',
  'totalSales',
  'organicSales',
  'tacos',
  'orders',
  'orderValue',
  'profit',
];
const BUSINESS = new Set(['totalSales', 'organicSales', 'tacos', 'profit']);

/** The figures that the specialist is judged by, then those that explain them. */
export function overviewFigures({ window, before, days, profit }: OverviewAnswer): Figure[] {
  const now = sumDays(days, window.from, window.to);
  const old = sumDays(days, before.from, before.to);
  return SHOWN.map((key) => {
    const spec = BUSINESS.has(key) ? businessMeasure(key as BusinessMeasureKey) : measure(key as MeasureKey);
    const { label, definition, unit, decimals, better } = spec;
    const of = spec.of as (sums: BusinessSums) => number | null;
    const both =
      key === 'profit' ? { now: profit.now, before: profit.before } : { now: of(now), before: of(old) };
    // Sums of fewer days than the window has are compared with nothing.
    if (!before.isCovered) both.before = null;
    return { key, label, definition, unit, decimals, better, ...both };
  });
}

/** How much a figure moved: sums by a share of what they were, ratios by their difference. */
export function moveOf({ unit, now, before }: Figure): { value: number; isShare: boolean } | null {
  if (now === null || before === null) return null;
  if (unit === 'share') return { value: now - before, isShare: false };
  return before === 0 ? null : { value: now / before - 1, isShare: true };
}
