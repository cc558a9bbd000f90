import { checkWords } from '../changes';
import type { MarketLimits } from '../changes';
import { formatMoney } from '../units';
import { findMoney } from './money';
import type { GrowthPlan } from './plan';

/** What a market would not take of a growth plan, and what it cannot be carried out with; each in a sentence. */
export function growthFaults(plan: GrowthPlan, limits: MarketLimits): string[] {
  const { total, find, tune, grow } = plan;
  const least = limits.minBudget;
  return [
    ...(find.isOn || tune.isOn || grow.isOn ? [] : ['All its stages are off: it would do nothing.']),
    ...(total < least
      ? [
          `Its total of ${formatMoney(total)} a day is below the least budget of a campaign, ${formatMoney(least)}.`,
        ]
      : []),
    ...(find.isOn && total >= least && findMoney(plan, limits) < least
      ? [
          `The money for finding comes to ${formatMoney(findMoney(plan, limits))} a day; a campaign needs ${formatMoney(least)}. Raise its share, its cap or the total.`,
        ]
      : []),
    ...(find.isOn && (find.bid < limits.minBid || find.bid > limits.maxBid)
      ? [`The first bid has to be between ${formatMoney(limits.minBid)} and ${formatMoney(limits.maxBid)}.`]
      : []),
    ...find.terms.flatMap((term) =>
      checkWords(term, limits).map(({ sentence }) => `Term “${term}”: ${sentence}`),
    ),
  ];
}
