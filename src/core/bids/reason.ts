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
  const { step, clicks, orders, conversion, needed, chance, rpc, cpc, from, to, wanted, left, rho } =
    proposal;
  const { targetAcos, margin, strength, dry, held } = context;
  const { mean, usual } = conversion;
  const own = `${count(clicks, 'click')}, ${count(orders, 'order')} in ${HISTORY_DAYS} days`;
  const worth = `a click brings ${formatMoney(rpc)} and costs ${formatMoney(cpc)}, an ACOS of ${formatShare(rpc > 0 ? cpc / rpc : null, 0)}`;
  const loses = margin !== null && cpc > rpc * margin ? ` (break-even ${formatShare(margin, 0)})` : '';
  const aim = `all lands on ${formatShare(targetAcos, 0)} with bids at ${formatShare(rho, 0)} of a click’s worth`;
  const isStepped = left === null && Math.abs(wanted - to) > Math.abs(to - from) * 0.1;
  const goes = `${formatMoney(wanted)} is wanted${isStepped ? `, one step goes to ${formatMoney(to)}` : ''}`;
  const prior = `what is usual, ${formatShare(usual)}, counts like ${count(Math.round(strength / usual), 'click')}`;
  const budget =
    held < 1 && dry !== null
      ? `; the campaign ran dry on ${Math.round(dry * 7)} of 7 days, so its bids are held at ${formatShare(held, 0)}`
      : '';
  switch (step) {
    case 'dead':
      return `${own}; an order usually takes ${count(Math.round(1 / usual), 'click')} here; ${formatShare(chance, 0)} chance that it reaches the ${formatShare(needed)} it needs; ${goes}${budget}.`;
    case 'over':
      return `${own}: ${worth}${loses}; ${aim}: ${goes}; ${prior}${budget}.`;
    case 'grow':
      return `${own}: converts ${formatShare(mean)}, ${worth}; ${aim}: ${goes}; ${prior}${budget}.`;
    case 'none':
      return WHY_LEFT[left ?? 'too small'](dry);
  }
}

const count = (number: number, word: string) => `${formatCount(number)} ${word}${number === 1 ? '' : 's'}`;

const WHY_LEFT: Record<NonNullable<BidProposal['left']>, (dry: number | null) => string> = {
  'cool-down': () => 'Changed lately: too early to see what that did.',
  'not running': () =>
    'It is not running: it, its ad group or its campaign is paused, or its bid is not known.',
  'thin evidence': () => 'There is less evidence than you ask for.',
  'runs dry': (dry) =>
    `Worth a higher bid, but its campaign spent its budget on ${Math.round((dry ?? 0) * 7)} of 7 days: dearer clicks would only end the day sooner.`,
  'too small': () => 'The bid is where it should be.',
};
