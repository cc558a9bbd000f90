import { isBidStep } from '../../../contract/review';
import type { BidsAsked, RoundSettings } from '../../../plans/bids';
import type { RoundView } from '../roundView';

/** The same ids are the same request, whatever they were decided in. */
const inOrder = (ids: Iterable<number>) => [...new Set(ids)].sort((a, b) => a - b);

/**
 * The targets that are asked for at a step of the round. Beside the steps that tune bids theirs are arranged anyway: the list of steps tells how many are
 * left.
 */
export function bidsAsked(
  at: string,
  { show, conditions, sort }: Pick<RoundView, 'show' | 'conditions' | 'sort'>,
  settings: RoundSettings,
): Omit<BidsAsked, 'staged' | 'aside'> {
  const isShown = isBidStep(at);
  return {
    step: isShown ? at : 'dead',
    show: isShown ? show : 'proposed',
    settings,
    conditions: isShown ? conditions : [],
    sort: isShown ? (sort as BidsAsked['sort']) : null,
  };
}

/** The same without targets that are decided. */
export const withoutDecided = (
  asked: ReturnType<typeof bidsAsked>,
  staged: Iterable<number>,
  aside: Iterable<number>,
): BidsAsked => ({ ...asked, staged: inOrder(staged), aside: inOrder(aside) });
