import { isItemCode } from './itemCode';
import { matchForm } from './matchForm';
import { holdsPhrase } from './matchTypes';

/** What sort of search term it is. */
export const TERM_KINDS = ['words', 'item code', 'own brand', 'rival brand', 'never wanted'] as const;
export type TermKindName = (typeof TERM_KINDS)[number];

/** Whether a term was seen first in the window or before it. */
export const SEEN = ['in this window', 'before'] as const;

export interface TermKind {
  name: TermKindName;
  /** The word of a list that says so, as it is written there; null for words and item codes. */
  word: string | null;
}

/** Words and phrases by which an account tells its terms apart, as they were written. */
export interface WordLists {
  own: readonly string[];
  rival: readonly string[];
  /** What no product of the account will ever be bought for. */
  unwanted: readonly string[];
}

export const NO_LISTS: WordLists = { own: [], rival: [], unwanted: [] };

const WORDS: TermKind = { name: 'words', word: null };
const ITEM: TermKind = { name: 'item code', word: null };

/**
 * Tells the kind of terms. A list's word is found as the market finds a phrase: whole words, in order, plurals and accents apart. What is never
 * wanted comes before brands, the own brand before rivals'. Each text is judged once. (`form`: the text in match form, where it is known.)
 */
export function kindReader(lists: WordLists): (text: string, form?: string) => TermKind {
  const entries = entriesByWord(lists);
  const known = new Map<string, TermKind>();
  return (text, given) => {
    let kind = known.get(text);
    if (kind === undefined) {
      let best: Entry | undefined;
      if (entries.size > 0) {
        const form = given ?? matchForm(text);
        for (const word of form.split(' '))
          for (const entry of entries.get(word) ?? [])
            if ((best === undefined || entry.rank < best.rank) && holdsPhrase(form, entry.form)) best = entry;
      }
      kind = best?.kind ?? (isItemCode(text) ? ITEM : WORDS);
      known.set(text, kind);
    }
    return kind;
  };
}

interface Entry {
  kind: TermKind;
  form: string;
  rank: number;
}

/** Every word of the lists under the first word that it begins with: a term asks only where its own words lead. */
function entriesByWord({ own, rival, unwanted }: WordLists): Map<string, Entry[]> {
  const entries = new Map<string, Entry[]>();
  const lists = [
    ['never wanted', unwanted],
    ['own brand', own],
    ['rival brand', rival],
  ] as const;
  lists.forEach(([name, words], rank) =>
    words.forEach((word) => {
      const form = matchForm(word);
      if (form === '') return;
      const first = form.split(' ')[0];
      entries.set(first, [...(entries.get(first) ?? []), { kind: { name, word }, form, rank }]);
    }),
  );
  return entries;
}

/**
 * Tells which terms are new: seen first inside the window, in an account that has terms from before it. @param firstDays of all terms, in days since
 * 1970, 0 where not known @param from first day of the window, likewise
 */
export function newTerms(firstDays: ArrayLike<number>, from: number): (firstDay: number) => boolean {
  let hasOlder = false;
  for (let at = 0; at < firstDays.length && !hasOlder; at += 1)
    hasOlder = firstDays[at] > 0 && firstDays[at] < from;
  return (firstDay) => hasOlder && firstDay >= from;
}
