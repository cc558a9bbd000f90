import { formatCount, formatMoney } from '../units';
import type { BudgetProposal } from './proposal';

type Told = Omit<BudgetProposal, 'campaign'>;

const clock = (hours: number) => `${String(Math.floor(hours)).padStart(2, '0')}:00`;
const days = (count: number) => `${formatCount(count)} ${count === 1 ? 'day' : 'days'}`;

/** The hour from which a campaign usually had no money on the days that ran dry: the middle one of them. Null: none, or its budget is spread over the day. */
export function usuallyDryFrom({ dry }: Pick<BudgetProposal, 'dry'>): number | null {
  const from = dry.flatMap((one) => one.from ?? []).sort((a, b) => a - b);
  return from[Math.floor(from.length / 2)] ?? null;
}

/** Why a budget is proposed, or why none is, with the numbers that tell. */
export function budgetReason(proposal: Told): string {
  const { left, from, to, need, spend, demand, isLocked, byBids } = proposal;
  switch (left) {
    case 'not running':
      return 'It does not run.';
    case 'no daily budget':
      return 'It has no daily budget to move.';
    case 'no clicks':
      return 'No clicks of the last 28 days tell what it needs.';
    case 'as needed':
      if (byBids !== null)
        return `Its bids hold its spend at ${formatMoney(byBids)} a day; its budget stands high above, so that no hour of the day is missed.`;
      return `${dryText(proposal)} Its clicks cost about ${formatMoney(spend)} a day: its budget stands as it is needed.`;
    case null: {
      if (byBids !== null)
        return `Its bids are to hold its spend at ${formatMoney(byBids)} a day, so its budget moves from ${formatMoney(from)} to ${formatMoney(to)}, high above that: no hour of the day is missed.`;
      const needs =
        spend > need
          ? `Of the ${formatMoney(spend)} a day that all its clicks would cost, this plan goes for about ${formatMoney(demand)}`
          : `At the bids of this plan its clicks cost about ${formatMoney(demand)} a day, and ${formatMoney(need)} is needed so that it is seldom stopped`;
      const moves = isLocked
        ? 'set by hand, the others give way'
        : to! > from!
          ? `raised from ${formatMoney(from)} to ${formatMoney(to)}`
          : `it gives ${formatMoney(from! - to!)} to those that miss sales`;
      return `${dryText(proposal)} ${needs}: ${moves}.`;
    }
  }
}

function dryText(proposal: Told): string {
  const { dry, days: known, missed, isLeast } = proposal;
  if (known === 0) return 'No hours are known, so it cannot be told when it ran dry.';
  if (dry.length === 0) return `It never ran dry in ${days(known)}.`;
  const from = usuallyDryFrom(proposal);
  const when =
    from === null
      ? `Its budget, spread over the day, held it up on ${days(dry.length)} of ${formatCount(known)}`
      : `Ran dry on ${days(dry.length)} of ${formatCount(known)}, usually from about ${clock(from)}`;
  const clicks = formatCount(Math.round(missed.clicks));
  return isLeast
    ? `${when}, and missed at least ${clicks} clicks, worth ${formatMoney(missed.sales)} in sales; the budget pays for too few to tell how many more.`
    : `${when}, and missed about ${clicks} clicks, worth ${formatMoney(missed.sales)} in sales (${formatMoney(missed.low)}–${formatMoney(missed.high)}).`;
}
