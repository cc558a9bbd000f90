import type { MarketLimits } from '../changes';
import type { Micros } from '../units';
import { PACES } from './observations';
import type { BidSettings, Pace, StepLimits } from './observations';

/** What a specialist chooses for a round of bids. */
export interface BidChoices {
  pace: Pace | 'own';
  /** Of her own pace, shares. */
  own: StepLimits;
  aim: BidSettings['aim'];
  /** No bid is lowered below, or raised above; null: the market's own limit. */
  floor: Micros | null;
  cap: Micros | null;
  leastEvidence: BidSettings['leastEvidence'];
  /** Days after a change in which a target is left alone. */
  coolDown: number;
}

export const USUAL_CHOICES: BidChoices = {
  pace: 'steady',
  own: { down: 0.2, up: 0.2 },
  aim: 'grow',
  floor: null,
  cap: null,
  leastEvidence: 'thin',
  coolDown: 6,
};

/** Moves under this share are not made. */
const LEAST_MOVE = 0.03;

/** The engine's settings for choices, within what the market takes. Modifiers stay: they are set in a step of their own. */
export function settingsOf(
  { pace, own, aim, floor, cap, leastEvidence, coolDown }: BidChoices,
  { minBid, maxBid, bidStep }: Pick<MarketLimits, 'minBid' | 'maxBid' | 'bidStep'>,
): BidSettings {
  const least = Math.max(minBid, floor ?? 0);
  return {
    step: pace === 'own' ? own : PACES[pace],
    aim,
    limits: { bidStep, minBid: least, maxBid: Math.max(least, Math.min(maxBid, cap ?? maxBid)) },
    modifiers: [false, false, false],
    coolDown,
    leastMove: LEAST_MOVE,
    leastEvidence,
  };
}
