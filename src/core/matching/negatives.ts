import { matchForm } from './matchForm';
import { holdsPhrase } from './matchTypes';

export type NegativeMatch = 'exact' | 'phrase' | 'item';

/** Expressions of the negatives that hold in one place, prepared once and asked often. */
export interface NegativeSet {
  exact: Set<string>;
  phrases: string[];
  items: Set<string>;
}

/** Prepares negatives for `isBlocked`. A negative without a word blocks nothing. */
export function negativeSet(negatives: Iterable<{ match: NegativeMatch; expression: string }>): NegativeSet {
  const set: NegativeSet = { exact: new Set(), phrases: [], items: new Set() };
  for (const { match, expression } of negatives) {
    if (match === 'item') set.items.add(matchForm(expression));
    else {
      const form = matchForm(expression);
      if (form === '') continue;
      if (match === 'phrase') set.phrases.push(form);
      else set.exact.add(form);
    }
  }
  return set;
}

/**
 * Whether a term, in match form, is stopped by one of the negatives. Exact: the same words in the same order. Phrase: the
 * words stand in it together and in order. Item: the term is that item's code. An exact negative of an item code stops
 * visits to that item too.
 */
export function isBlocked(form: string, set: NegativeSet): boolean {
  if (set.exact.has(form) || set.items.has(form)) return true;
  return set.phrases.some((phrase) => holdsPhrase(form, phrase));
}
