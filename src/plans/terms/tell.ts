import { harvestReason } from '../../core/harvest';
import type { HarvestProposal } from '../../core/harvest';
import { negativeReason, placesByReach } from '../../core/negatives';
import type { NegativeList, NegativeProposal } from '../../core/negatives';
import { chanceWithin, sumsOfRow } from '../../core/terms';
import type { MarketLimits } from '../../core/changes';
import type { TermContext } from '../../core/terms';
import type { Proposal, ReviewSettings } from './types';

/** A proposal with its reason, and the places of each reach in which its term can be blocked. */
export function tell(
  context: TermContext,
  proposal: HarvestProposal | NegativeProposal,
  { targetAcos, maxAcos }: ReviewSettings,
  lists: readonly NegativeList[],
  limits: MarketLimits,
): Proposal {
  const { row } = proposal;
  const places = placesByReach(context, row, lists);
  if (!('bid' in proposal)) {
    const reason = negativeReason(context, row, targetAcos, limits);
    return { step: 'negatives', ...proposal, reason, places };
  }
  const within = chanceWithin(context, row, maxAcos);
  const chance = within === null ? null : { within, acos: maxAcos };
  const value = context.value(row)?.mean ?? null;
  const reason = harvestReason(
    proposal,
    sumsOfRow(context.table, row),
    value,
    targetAcos,
    chance,
    context.margin(row) !== null,
  );
  return { step: 'harvest', ...proposal, reason, places };
}
