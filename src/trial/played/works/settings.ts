import { USUAL_SETTINGS } from '../../../core/bids';
import type { BidSettings, PreparedBids } from '../../../core/bids';
import type { Rule } from '../../../core/rules';
import type { PlayedMarket } from '../../playedMarket';

/** The settings of the engine that a rule's own make. */
export function settingsOfRule(
  { step, bid, waitDays }: Pick<Rule, 'step' | 'bid' | 'waitDays'>,
  { scenario }: Pick<PlayedMarket, 'scenario'>,
): BidSettings {
  const { bidStep, minBid, maxBid } = scenario.limits;
  const least = Math.max(minBid, bid.low ?? 0);
  return {
    ...USUAL_SETTINGS,
    step,
    limits: { bidStep, minBid: least, maxBid: Math.max(least, Math.min(maxBid, bid.high ?? maxBid)) },
    modifiers: [false, false, false],
    hold: { settledDays: waitDays, secondSteps: true },
  };
}

/** What is prepared, with the target of a rule in place of the market's. */
export const aimedAt = (prepared: PreparedBids, target: Rule['target']): PreparedBids =>
  target === null
    ? prepared
    : {
        ...prepared,
        observations: {
          ...prepared.observations,
          scopes: prepared.observations.scopes.map(() => ({
            targetAcos: (target.low + target.high) / 2,
            range: { low: target.low, high: target.high },
          })),
        },
      };

/** The ACOS that a rule aims at, or the market's target; share. */
export const aimOf = (
  { target }: Pick<Rule, 'target'>,
  { scenario }: Pick<PlayedMarket, 'scenario'>,
): number => (target === null ? scenario.targetAcos : (target.low + target.high) / 2);
