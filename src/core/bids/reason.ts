import { formatCount, formatMoney, formatShare } from '../units';
import type { BidProposal } from './proposeBids';
import { HISTORY_DAYS } from './observations';

/** What a reason tells beside the proposal itself. */
export interface ReasonContext {
  /** Share. */
  targetAcos: number;
  /** Left of the product's price before ads, share; null where costs are missing. */
  margin: number | null;
  /** Weight of the prior, in orders. */
  strength: number;
  /** Share of the last week's days on which its campaign spent its budget; null without a daily one. */
  dry: number | null;
  /** How far the campaign's bids are held because of that; 1: not at all. */
  held: number;
}

/** Why a bid is proposed, or why none is, in one sentence with its numbers. */
export function bidReason(proposal: BidProposal, context: ReasonContext): string {
  const { step, clicks, orders, conversion, needed, chance, rpc, cpc, from, to, wanted, left } = proposal;
  const { targetAcos, margin, strength, dry, held } = context;
  const { mean, usual } = conversion;
  const own = `${formatCount(clicks)} ${clicks === 1 ? 'click' : 'clicks'}, ${formatCount(orders)} ${orders === 1 ? 'order' : 'orders'} in ${HISTORY_DAYS} days`;
  const needs = `${formatShare(chance, 0)} chance that it reaches the ${formatShare(needed)} it needs`;
  const prior = `what is usual there, ${formatShare(usual)}, counts like ${formatCount(Math.round(strength / usual))} clicks`;
  const step_ =
    left === null && Math.abs(wanted - to) > Math.abs(to - from) * 0.1
      ? `; ${formatMoney(wanted)} is wanted, one step goes to ${formatMoney(to)}`
      : '';
  const budget =
    held < 1 && dry !== null
      ? `; its campaign ran dry on ${Math.round(dry * 7)} of 7 days, so its bids are held at ${formatShare(held, 0)}`
      : '';
  const loses =
    margin !== null && cpc > rpc * margin ? ` and break-even ${formatMoney(Math.max(0, rpc * margin))}` : '';
  switch (step) {
    case 'dead':
      return `${own}; an order usually takes ${formatCount(Math.round(1 / usual))} clicks here; ${needs}${step_}${budget}.`;
    case 'over':
      return `${own}: a click brings ${formatMoney(rpc)}, so ${formatShare(targetAcos, 0)} allow ${formatMoney(rpc * targetAcos)}${loses}, and it costs ${formatMoney(cpc)} (${prior})${step_}${budget}.`;
    case 'grow':
      return `${own}: converts ${formatShare(mean)}, a click brings ${formatMoney(rpc)} and costs ${formatMoney(cpc)}; ${prior}${step_}${budget}.`;
    case 'none':
      return WHY_LEFT[left ?? 'too small'](dry);
  }
}

const WHY_LEFT: Record<NonNullable<BidProposal['left']>, (dry: number | null) => string> = {
  'cool-down': () => 'Changed lately: what that did cannot be seen yet.',
  'not running': () =>
    'It does not run: it, its ad group or its campaign is paused, or its bid is not known.',
  'thin evidence': () => 'Too little is known of it at the evidence that is asked for.',
  'runs dry': (dry) =>
    `Worth a higher bid, but its campaign spent its budget on ${Math.round((dry ?? 0) * 7)} of 7 days: a dearer click would only end the day sooner.`,
  'too small': () => 'The bid is where it should be.',
};
