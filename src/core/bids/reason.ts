import { counted, formatCount, formatMoney, formatShare } from '../units';
import type { BidProposal, SinceChange } from './proposal';

/** What a reason tells beside the proposal itself. */
export interface ReasonContext {
  /** Days back to the account's first one with figures. */
  days: number;
  /** Left of the product's price before ads, share; null where costs are missing. */
  margin: number | null;
  /** Weight of the prior, in orders. */
  strength: number;
  /** Share of the last week's days on which its campaign spent its budget; null without a daily one. */
  dry: number | null;
  /** How far the campaign's bids are held so that its clicks cost its budget; 1: not at all. */
  held: number;
  /** How far the own bid sets what a click costs: 0 (the next bidder does) to 1. */
  gamma: number;
  /** Whether it is the money, and not the target, that bids go no higher for. */
  isHeldByMoney: boolean;
}

/** Why a bid is proposed, or why none is, in one sentence with its numbers. They can be worked out anew from what it tells. */
export function bidReason(proposal: BidProposal, context: ReasonContext): string {
  const { step, conversion, needed, chance, rpc, cpc } = proposal;
  const { margin } = context;
  const own = ownRecord(proposal, context);
  const worth = `a click brings ${formatMoney(rpc)} and costs ${formatMoney(cpc)}, an ACOS of ${formatShare(rpc > 0 ? cpc / rpc : null, 0)}`;
  const loses = margin !== null && cpc > rpc * margin ? ` (break-even ${formatShare(margin, 0)})` : '';
  const rest = `${movedText(proposal)}${budgetText(context)}${priceText(context)}`;
  switch (step) {
    case 'dead':
      if (proposal.to === 0) return `${own}; ${goesText(proposal)}.`;
      return `${own}; an order usually takes ${counted(Math.round(1 / conversion.usual), 'click')} here; ${formatShare(chance, 0)} chance that it reaches the ${formatShare(needed)} it needs; ${goesText(proposal)}${rest}.`;
    case 'over':
      if (proposal.to === 0)
        return `${own}; ${convertsText(proposal, context)}; ${worth}${loses}; ${goesText(proposal)}.`;
      return `${own}; ${convertsText(proposal, context)}; ${worth}${loses}; ${aimText(proposal, context)}: ${goesText(proposal)}${rest}.`;
    case 'grow':
      return `${own}; ${convertsText(proposal, context)}; ${worth}; ${aimText(proposal, context)}: ${goesText(proposal)}${rest}.`;
    case 'test':
      return `${own}: not proven yet. ${testText(proposal)}; ${goesText(proposal)}${rest}.`;
    case 'none':
      return WHY_LEFT[proposal.left ?? 'too small'](proposal, context);
  }
}

function ownRecord({ clicks, orders, before, since }: BidProposal, { days }: ReasonContext): string {
  const own = `${counted(clicks, 'click')}, ${counted(orders, 'order')} in ${counted(days, 'day')}`;
  if (!before) return own;
  const made = since && since.from === null ? `, before it was made ${ago(since.daysAgo)}` : '';
  return `${own} (${counted(before.clicks, 'click')} and ${counted(before.orders, 'order')} of them elsewhere${made})`;
}

/** Orders and clicks to the conversion: (orders + usual x its clicks) / (weighed clicks + its clicks). */
function convertsText({ exposure, conversion }: BidProposal, { strength }: ReasonContext): string {
  const { mean, usual } = conversion;
  return `weighed by placement and late orders ${counted(Math.round(exposure), 'click')}, and what is usual, ${formatShare(usual)}, like ${formatCount(Math.round(strength / usual))} more: converts ${formatShare(mean)}`;
}

function aimText({ aim, rho, raise }: BidProposal, { isHeldByMoney }: ReasonContext): string {
  const raised =
    Math.abs(raise - 1) < 0.005 ? '' : `, less the ${formatShare(raise - 1, 0)} that its placements add`;
  if (isHeldByMoney)
    return `the money pays for bids at ${formatShare(rho, 0)} of a click’s worth, less than ${formatShare(aim, 0)} would allow${raised}`;
  return `all lands on ${formatShare(aim, 0)} with bids at ${formatShare(rho, 0)} of a click’s worth${raised}`;
}

function goesText(proposal: BidProposal): string {
  if (proposal.to === 0)
    return `${formatShare(proposal.chance, 0)} chance that it reaches ${formatShare(proposal.aim, 0)}, and a click costs what it costs here: pause`;
  const { from, to, wanted, left, cpcAfter, aim } = proposal;
  const free = freeBid(proposal);
  const isBounded = wanted > from && free > wanted * 1.02;
  const bound = isBounded
    ? `${formatMoney(free)} is wanted, held at ${formatMoney(wanted)}, where it reaches ${formatShare(aim, 0)} by itself`
    : `${formatMoney(wanted)} is wanted`;
  const isStepped = left === null && Math.abs(wanted - to) > Math.abs(to - from) * 0.1;
  const step = isStepped ? `, one step goes to ${formatMoney(to)}` : '';
  return `${bound}${step}${left === null ? `, where a click costs about ${formatMoney(cpcAfter)}` : ''}`;
}

/** The share of a click's worth that all bids stand at, less what its placements add. */
const freeBid = ({ rho, rpc, raise }: BidProposal) => (rho * rpc) / raise;

function testText({ test, conversion, to }: BidProposal): string {
  if (!test) return '';
  const { chance, gain, cost } = test;
  return `Usual here is ${formatShare(conversion.usual)}; ${formatShare(chance, 0)} chance that it sells well enough at ${formatMoney(to)}, worth about ${formatMoney(gain)} a month then; finding out costs at most ${formatMoney(cost)} more a month`;
}

function movedText({ since, from, wanted, isSecondStep }: BidProposal): string {
  if (!since || since.from === null) return '';
  if (isSecondStep)
    return `; second step toward ${formatMoney(wanted)}, nothing new since the one of ${ago(since.daysAgo)}`;
  return `; ${movedWords(since, from)}, ${sinceWords(since)}`;
}

const movedWords = ({ from, daysAgo }: SinceChange, present: number) =>
  from === null
    ? `changed ${ago(daysAgo)}`
    : `${present < from ? 'lowered' : 'raised'} ${formatMoney(from)} → ${formatMoney(present)} ${ago(daysAgo)}`;
const sinceWords = ({ settledDays, clicks }: SinceChange) =>
  `${counted(settledDays, 'settled day')} and ${counted(clicks, 'click')} since`;
const ago = (days: number) => (days === 0 ? 'today' : `${counted(days, 'day')} ago`);

function budgetText({ held, dry }: ReasonContext): string {
  if (held >= 1) return '';
  const ran = dry !== null && dry > 0 ? ` (it ran dry on ${Math.round(dry * 7)} of 7 days)` : '';
  return `; its campaign’s clicks would cost more than its budget${ran}, so its bids are held at ${formatShare(held, 0)}: the same clicks, cheaper`;
}

function priceText({ gamma }: ReasonContext): string {
  if (gamma === 0) return '';
  return `; clicks here cost more the more you bid yourself (${formatShare(gamma, 0)} of the way from the next bid to yours), so bids stay below their worth`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const WHY_LEFT: Record<
  NonNullable<BidProposal['left']>,
  (proposal: BidProposal, context: ReasonContext) => string
> = {
  hold: ({ since, from }) =>
    since
      ? `${capital(movedWords(since, from))}, ${sinceWords(since)}: too early to see what that did.`
      : 'Changed lately: too early to see what that did.',
  'second step': ({ since, from, wanted }) =>
    `${since ? capital(movedWords(since, from)) : 'Changed lately'}; a second step toward ${formatMoney(wanted)} is left out until something new is known.`,
  'days since disagree': ({ since, from, wanted }) =>
    `${since ? capital(movedWords(since, from)) : 'Changed lately'}. All days ask for ${formatMoney(wanted)}, the other way; the days since do not by themselves.`,
  'not running': () =>
    'It is not running: it, its ad group or its campaign is paused, or its bid is not known.',
  'in range': () => 'It stands inside the range that is its target: nothing is to be done.',
  'thin evidence': () => 'There is less evidence than you ask for.',
  'runs dry': (_, { dry }) =>
    `Worth a higher bid, but its campaign spent its budget on ${Math.round((dry ?? 0) * 7)} of 7 days: dearer clicks would only end the day sooner.`,
  'would pass target': ({ aim }) =>
    `A higher bid would win sales, but by itself it would then cost more than ${formatShare(aim, 0)} of them.`,
  'test cap': () => 'Not proven yet, and tests that tell more for their money take what tests may cost.',
  'one price': ({ chance, aim, from }) =>
    `A click costs ${formatMoney(from)} here, whatever is done; ${formatShare(chance, 0)} chance that it stays within ${formatShare(aim, 0)}: it goes on.`,
  'too small': () => 'The bid is where it should be.',
};
