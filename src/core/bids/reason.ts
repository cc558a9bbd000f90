import { formatCount, formatMoney, formatShare } from '../units';
import type { BidProposal } from './proposeBids';

/** Why a bid is proposed, in one sentence with its numbers. @param targetAcos share @param strength weight of the prior, orders */
export function bidReason(proposal: BidProposal, targetAcos: number, strength: number): string {
  const { step, clicks, orders, conversion, needed, chance, rpc, cpc, from, to, wanted, left } = proposal;
  const { mean, usual } = conversion;
  const own = `${formatCount(clicks)} ${clicks === 1 ? 'click' : 'clicks'}, ${formatCount(orders)} ${orders === 1 ? 'order' : 'orders'}`;
  const needs = `${formatShare(chance, 0)} chance that it reaches the ${formatShare(needed)} it needs`;
  const prior = `what is usual there, ${formatShare(usual)}, counts like ${formatCount(strength / usual)} clicks`;
  const step_ =
    left === null && Math.abs(wanted - to) > Math.abs(to - from) * 0.1
      ? `; ${formatMoney(wanted)} is wanted, one step goes to ${formatMoney(to)}`
      : '';
  switch (step) {
    case 'dead':
      return `${own}; an order usually takes ${formatCount(1 / usual)} clicks here; ${needs}${step_}.`;
    case 'over':
      return `${own}: a click brings ${formatMoney(rpc)}, so ${formatShare(targetAcos, 0)} allow ${formatMoney(rpc * targetAcos)}, and it costs ${formatMoney(cpc)} (${prior})${step_}.`;
    case 'grow':
      return `${own}: converts ${formatShare(mean)}, a click brings ${formatMoney(rpc)} and costs ${formatMoney(cpc)}; ${prior}${step_}.`;
    case 'none':
      return left === 'cool-down'
        ? 'Changed lately: what that did cannot be seen yet.'
        : left === 'not running'
          ? 'It does not run.'
          : 'The bid is where it should be.';
  }
}
