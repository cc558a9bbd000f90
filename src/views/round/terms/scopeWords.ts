import { NEGATIVE_SCOPES } from '../../../core/negatives';
import type { NegativeScope } from '../../../core/negatives';
import type { Proposal } from './worker/types';

/** A scope in words, with how many ad groups it comes to. */
export function scopeWords(scope: NegativeScope, places: Proposal['places']): string {
  if (scope !== 'research') return scope;
  const count = places.research.length;
  return count === 1 ? 'research: here alone' : `research: ${count} ad groups`;
}

/** The scope after another, round and round. */
export function nextScope(scope: NegativeScope): NegativeScope {
  return NEGATIVE_SCOPES[(NEGATIVE_SCOPES.indexOf(scope) + 1) % NEGATIVE_SCOPES.length];
}
