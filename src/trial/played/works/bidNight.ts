import { decideBids } from '../../../core/bids';
import type { BidProposal } from '../../../core/bids';
import { preparedTonight } from './prepared';
import { aimedAt, settingsOfRule } from './settings';
import type { NightWork } from './nightMove';

/** Bids of targets: what is dead goes down or is paused, the others move toward the target. */
export const bidNight: NightWork = (rule, market, memory) => {
  const { prepared } = preparedTonight(market, memory);
  const { proposals } = decideBids(aimedAt(prepared, rule.target), settingsOfRule(rule, market));
  const steps = rule.work === 'dead' ? ['dead'] : ['over', 'grow', ...(rule.tests ? ['test'] : [])];
  const matters = ({ now, after }: BidProposal) =>
    Math.abs(after.sales - now.sales) + Math.abs(after.spend - now.spend);
  return proposals
    .filter(({ step, from, to }) => steps.includes(step) && to !== from)
    .sort((a, b) => matters(b) - matters(a))
    .map(({ target, to, clicks, orders, now, after }) => ({
      figures: { clicks, orders, impressions: Infinity },
      spend: after.spend - now.spend,
      make: () => {
        const one = market.books.targets[target];
        if (to <= 0) one.state = 'paused';
        else one.bid = to;
      },
    }));
};
