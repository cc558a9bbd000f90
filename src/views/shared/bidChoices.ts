import { USUAL_CHOICES } from '../../core/bids';
import type { BidChoices } from '../../core/bids';
import { recall, remember } from './urlState';

const key = (account: number | undefined) => `bid-choices-${account ?? 0}`;

/** The choices of a round of bids, as this browser remembers them for an account. */
export function recallChoices(account: number | undefined): BidChoices {
  return { ...USUAL_CHOICES, ...recall<Partial<BidChoices>>(key(account), {}) };
}

export function rememberChoices(account: number | undefined, choices: BidChoices): void {
  // The wide first step is for once: another round begins with a usual pace.
  const kept = choices.pace === 'to wanted' ? { ...choices, pace: USUAL_CHOICES.pace } : choices;
  remember(key(account), kept);
}
