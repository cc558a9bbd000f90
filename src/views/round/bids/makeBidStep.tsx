import type { RoundAt, RoundStep } from '../steps/step';
import { BID_KEYS } from './bidKeys';
import type { BidStepSpec } from './bidSpec';
import { BidStep } from './BidStep';
import { useBidWork } from './useBidWork';
import type { BidWork } from './useBidWork';

/** All steps that tune bids go over the account's targets: worked out once. */
const work = { useWork: useBidWork };

/** A step that tunes bids. */
export function makeBidStep(spec: BidStepSpec): RoundStep<BidWork> {
  const { name, label, money } = spec;
  const Step = (at: RoundAt & { work: BidWork }) => <BidStep {...at} spec={spec} />;
  return { name, label, money, purpose: name, keys: BID_KEYS, work, Step, hasEvidence: true };
}
