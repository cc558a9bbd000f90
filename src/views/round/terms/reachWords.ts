import { listOfReach } from '../../../core/negatives';
import type { BlockReach, NegativeList } from '../../../core/negatives';
import type { Proposal } from '../../../plans/terms';

/** A reach in words, with how many ad groups or campaigns it comes to. */
export function reachWords(
  reach: BlockReach,
  places: Proposal['places'],
  lists: readonly NegativeList[],
): string {
  const list = listOfReach(reach);
  const count = places.get(reach)?.length ?? 0;
  if (list !== null) {
    const name = lists.find(({ id }) => id === list)?.name ?? 'a list';
    return `list “${name}”: ${count} ${count === 1 ? 'campaign' : 'campaigns'}`;
  }
  if (reach !== 'research') return reach;
  return count === 1 ? 'research: here alone' : `research: ${count} ad groups`;
}

/** The reach after another, round and round. */
export function nextReach(reach: BlockReach, places: Proposal['places']): BlockReach {
  const reaches = [...places.keys()];
  return reaches[(reaches.indexOf(reach) + 1) % reaches.length];
}
