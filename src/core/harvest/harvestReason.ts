import { measure } from '../measures';
import type { Sums } from '../measures';
import { counted, formatMoney, formatShare } from '../units';
import type { HarvestProposal } from './proposeHarvests';

/** The reason of a harvest in one or two sentences with its numbers. */
export function harvestReason(
  proposal: HarvestProposal,
  sums: Sums,
  valuePerClick: number | null,
  targetAcos: number,
  /** That it stays under the ACOS that is asked for; null where nothing can be said. */
  chance: { within: number; acos: number } | null = null,
  /** Whether the product's costs are known. */
  isMargin = true,
): string {
  const acos = measure('acos').of(sums);
  const sure =
    chance === null
      ? ''
      : `; ${formatShare(chance.within, 0)} sure that it stays under ${formatShare(chance.acos, 0)}`;
  const sold = `${counted(sums.orders, 'order')} from ${counted(sums.clicks, 'click')}, ACOS ${formatShare(acos)} against ${formatShare(targetAcos)}${sure}; ${proposal.isExact ? 'exact already' : 'nowhere exact yet'}`;
  return `${sold}. ${bidSentence(proposal, sums, valuePerClick, targetAcos, isMargin)}`;
}

function bidSentence(
  { bid, bidDecidedBy, cap, asksMarket, gain, expectedCpc }: HarvestProposal,
  sums: Sums,
  value: number | null,
  targetAcos: number,
  isMargin: boolean,
): string {
  const money = formatMoney(bid);
  const worth = `${formatMoney(value)} expected sales per click × ${formatShare(targetAcos, 0)}`;
  const cpc = `the CPC of ${formatMoney(measure('cpc').of(sums))} paid here`;
  // Where the bid is not what a click should cost, both are told.
  const start = `Starts at ${money}${expectedCpc < bid ? `, to pay about ${formatMoney(expectedCpc)}` : ''}`;
  const gained =
    gain.profit === 0
      ? ''
      : ` Expected profit ${gain.profit > 0 ? '+' : ''}${formatMoney(gain.profit)} a month${isMargin ? '' : ', with a margin of 1.5 × the target assumed: costs are not known'}.`;
  const why: Record<HarvestProposal['bidDecidedBy'], string> = {
    worth: `${start}: ${asksMarket ? 'the market has no suggestion, so ' : ''}${worth}.`,
    cpc: `Starts at ${money}: ${cpc}.`,
    market: `Starts at ${money}: what the market suggests.`,
    fixed: `Starts at ${money}: the route’s own amount.`,
    cap: `${start}: ${cap} × ${cpc}; it would be worth more (${worth}).`,
    minimum: `Starts at the market’s lowest bid, ${money}; it is worth less (${worth}).`,
    maximum: `Starts at the market’s highest bid, ${money}.`,
  };
  return `${why[bidDecidedBy]}${gained}`;
}
