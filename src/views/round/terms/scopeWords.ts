import { listOfScope } from '../../../core/negatives';
import type { BlockScope, NegativeList } from '../../../core/negatives';
import type { Proposal } from '../../../plans/terms';

/** A scope in words, with how many ad groups or campaigns it comes to. */
export function scopeWords(
  scope: BlockScope,
  places: Proposal['places'],
  lists: readonly NegativeList[],
): string {
  const list = listOfScope(scope);
  const count = places.get(scope)?.length ?? 0;
  if (list !== null) {
    const name = lists.find(({ id }) => id === list)?.name ?? 'a list';
    return `list “${name}”: ${count} ${count === 1 ? 'campaign' : 'campaigns'}`;
  }
  if (scope !== 'research') return scope;
  return count === 1 ? 'research: here alone' : `research: ${count} ad groups`;
}

/** The scope after another, round and round. */
export function nextScope(scope: BlockScope, places: Proposal['places']): BlockScope {
  const scopes = [...places.keys()];
  return scopes[(scopes.indexOf(scope) + 1) % scopes.length];
}
