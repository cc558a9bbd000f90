import { matchWords } from './matchForm';
import { holdsPhrase, holdsWords } from './matchTypes';
import type { KeywordMatch } from './matchTypes';

/** A keyword to be found again by the terms it catches. */
export interface IndexedKeyword {
  match: KeywordMatch;
  expression: string;
}

/** Words that broad match takes for one: each word -> the one that stands for all. */
export type Synonyms = ReadonlyMap<string, string>;

interface Entry<K> {
  keyword: K;
  form: string;
  /** Words with synonyms replaced; for broad keywords only. */
  words: string[];
}

/** Finds the keywords that catch a term without asking each of them. */
export interface KeywordIndex<K> {
  /** Keywords that catch a term, given by its match words (see `matchWords`). */
  caughtBy: (words: readonly string[]) => K[];
}

/**
 * Index of keywords: exact ones by their form, phrase and broad ones by the two words that fewest keywords hold. A term
 * asks only where pairs of its own words lead, so that a hundred thousand keywords cost little more than a hundred.
 * @param synonyms words that broad match takes for one (in match form)
 */
export function keywordIndex<K extends IndexedKeyword>(
  keywords: Iterable<K>,
  synonyms: Synonyms = new Map(),
): KeywordIndex<K> {
  const canonical = (word: string) => synonyms.get(word) ?? word;
  const exact = new Map<string, K[]>();
  const loose: Entry<K>[] = [];
  const frequency = new Map<string, number>();
  for (const keyword of keywords) {
    const words = matchWords(keyword.expression);
    if (words.length === 0) continue;
    if (keyword.match === 'exact') push(exact, words.join(' '), keyword);
    else {
      const canonicals = words.map(canonical);
      for (const word of canonicals) frequency.set(word, (frequency.get(word) ?? 0) + 1);
      loose.push({ keyword, form: words.join(' '), words: canonicals });
    }
  }
  const byRarest = new Map<string, Entry<K>[]>();
  for (const entry of loose) push(byRarest, rarestPair(entry.words, frequency), entry);
  return {
    caughtBy: (words) => {
      const form = words.join(' ');
      const caught = [...(exact.get(form) ?? [])];
      if (byRarest.size === 0) return caught;
      const canonicals = words.map(canonical);
      const check = (key: string) => {
        for (const entry of byRarest.get(key) ?? []) {
          const isCaught =
            entry.keyword.match === 'phrase'
              ? holdsPhrase(form, entry.form)
              : holdsWords(canonicals, entry.words);
          if (isCaught) caught.push(entry.keyword);
        }
      };
      const known = [...new Set(canonicals)].filter((word) => frequency.has(word)).sort();
      known.forEach((word, at) => {
        check(word);
        for (let other = at + 1; other < known.length; other += 1) check(`${word} ${known[other]}`);
      });
      return caught;
    },
  };
}

/** The two different words of a keyword that fewest others hold, in order; or its only word. */
function rarestPair(words: string[], frequency: Map<string, number>): string {
  const different = [...new Set(words)].sort(
    (a, b) => frequency.get(a)! - frequency.get(b)! || (a < b ? -1 : 1),
  );
  return different.slice(0, 2).sort().join(' ');
}

function push<K, V>(map: Map<K, V[]>, key: K, value: V) {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}
