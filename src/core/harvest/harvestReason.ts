import { measure } from '../measures';
import type { Sums } from '../measures';
import { formatMoney, formatShare } from '../units';
import { CPC_CAP } from './startingBid';
import type { HarvestProposal } from './proposeHarvests';

const plural = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;

/** The reason of a harvest in one or two sentences with its numbers. */
export function harvestReason(
  proposal: HarvestProposal,
  sums: Sums,
  valuePerClick: number | null,
  targetAcos: number,
  /** That it stays under the ACOS that is asked for; null where nothing can be said. */
  chance: { within: number; acos: number } | null = null,
): string {
  const acos = measure('acos').of(sums);
  const sure =
    chance === null
      ? ''
      : `; ${formatShare(chance.within, 0)} sure that it stays under ${formatShare(chance.acos, 0)}`;
  const sold = `${plural(sums.orders, 'order')} from ${plural(sums.clicks, 'click')}, ACOS ${formatShare(acos)} against ${formatShare(targetAcos)}${sure}; nowhere exact yet`;
  return `${sold}. ${bidSentence(proposal, sums, valuePerClick, targetAcos)}`;
}

function bidSentence(
  proposal: HarvestProposal,
  sums: Sums,
  value: number | null,
  targetAcos: number,
): string {
  const bid = formatMoney(proposal.bid);
  const worth = `${formatMoney(value)} expected sales per click × ${formatShare(targetAcos, 0)}`;
  switch (proposal.bidDecidedBy) {
    case 'value':
      return `Starts at ${bid}: ${worth}.`;
    case 'cap':
      return `Starts at ${bid}: ${CPC_CAP} × the CPC of ${formatMoney(measure('cpc').of(sums))} paid here; it would be worth more (${worth}).`;
    case 'minimum':
      return `Starts at the market’s lowest bid, ${bid}; it is worth less (${worth}).`;
    case 'maximum':
      return `Starts at the market’s highest bid, ${bid}.`;
  }
}
