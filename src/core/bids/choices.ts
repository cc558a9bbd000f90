import type { MarketLimits } from '../changes';
import type { GoalScope } from '../goals';
import type { Micros } from '../units';
import { PACES, USUAL_SETTINGS } from './observations';
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
  /** Settled days that a changed target is left alone for, unless it had the clicks of an order before; 0: none. */
  holdDays: number;
  /** Whether a further step of the same move is proposed before that. */
  secondSteps: boolean;
  /** Orders that prove a target without more; a raise of others is a test. */
  provenOrders: number;
  /** What tests may cost more a month; null: the usual share of what is spent. */
  testCap: Micros | null;
  /** The same for parts of the account, each beside the whole. */
  testCaps: TestCap[];
}

/** What tests of a line, product, campaign or ad group may cost more a month, micros. */
export interface TestCap {
  kind: GoalScope;
  id: number;
  cap: Micros;
}

export const USUAL_CHOICES: BidChoices = {
  pace: 'steady',
  own: { down: 0.2, up: 0.2 },
  aim: 'grow',
  floor: null,
  cap: null,
  leastEvidence: 'thin',
  holdDays: USUAL_SETTINGS.hold.settledDays,
  secondSteps: true,
  provenOrders: USUAL_SETTINGS.proof.orders,
  testCap: null,
  testCaps: [],
};

/** Moves under this share are not made. */
const LEAST_MOVE = 0.03;

/** The engine's settings for choices, within what the market takes. Modifiers stay: they are set in a step of their own. */
export function settingsOf(
  choices: BidChoices,
  { minBid, maxBid, bidStep }: Pick<MarketLimits, 'minBid' | 'maxBid' | 'bidStep'>,
): BidSettings {
  const { pace, own, aim, floor, cap, leastEvidence } = choices;
  const least = Math.max(minBid, floor ?? 0);
  return {
    step: pace === 'own' ? own : PACES[pace],
    aim,
    limits: { bidStep, minBid: least, maxBid: Math.max(least, Math.min(maxBid, cap ?? maxBid)) },
    ...(minBid === maxBid && { isOnePrice: true }),
    modifiers: [false, false, false],
    hold: { settledDays: choices.holdDays, secondSteps: choices.secondSteps },
    proof: { ...USUAL_SETTINGS.proof, orders: choices.provenOrders },
    testing: { ...USUAL_SETTINGS.testing, cap: choices.testCap },
    leastMove: LEAST_MOVE,
    leastEvidence,
  };
}
