import { matchWords } from '../matching';
import type { Target } from '../structure';
import type { Blocker } from './blocking';

/** A live target that a negative of its place keeps from terms of its own. */
export interface StoppedTarget {
  id: number;
  /** Share of its own terms' clicks; 1: it cannot show at all. */
  share: number;
}

/** A smaller share of a target's terms is not worth a word. */
const LEAST_SHARE = 0.1;

/**
 * What share of a target's own terms a negative stops that holds all of its words, or whose words it holds. An exact negative stops one term: all of an exact keyword, of a
 * phrase or broad one no more than that term's share of its clicks. A phrase stops every term of an exact or phrase keyword that holds it; of a broad one, whose
 * terms have its words in any order, all only where the phrase is a single word. Where past clicks are needed and there are none, nothing is said.
 * @param pastShare of the target's clicks in the past that went to terms which the negative stops; null without a click
 */
export function stoppedShare(
  { match, expression }: Blocker,
  target: Pick<Target, 'kind' | 'match'>,
  pastShare: () => number | null,
): number {
  if (target.kind === 'item' || target.match === 'exact') return 1;
  if (match === 'phrase' && (target.match === 'phrase' || matchWords(expression).length === 1)) return 1;
  return pastShare() ?? 0;
}

export const isWorthAWord = ({ share }: StoppedTarget): boolean => share >= LEAST_SHARE;
