import { holdsPhrase, holdsWords, matchWords } from '../matching';
import type { KeywordMatch } from '../matching';
import type { TermWords } from './termWords';

/** What a keyword would do with a term. */
export interface Preview {
  /** Forms that it would catch. */
  caught: number[];
  /** Forms that share a word with it and would not be caught, with the reason. */
  missed: { form: number; why: string }[];
}

/**
 * Which terms a keyword would catch, and why not others that share a word with it. As the market matches: exact the same words in the
 * same order, phrase the words together and in order, broad all of them in any order.
 */
export function previewKeyword(terms: TermWords, expression: string, match: KeywordMatch): Preview {
  const words = matchWords(expression);
  const form = words.join(' ');
  const caught: number[] = [];
  const missed: Preview['missed'] = [];
  if (words.length === 0) return { caught, missed };
  const known = new Set(
    words.map((word) => terms.wordId(word)).filter((id): id is number => id !== undefined),
  );
  for (let at = 0; at < terms.forms.length; at += 1) {
    let shares = false;
    for (let place = terms.wordStart[at]; !shares && place < terms.wordStart[at + 1]; place += 1)
      shares = known.has(terms.words[place]);
    if (!shares) continue;
    const why = whyNot(terms.forms[at], form, words, match);
    if (why === null) caught.push(at);
    else missed.push({ form: at, why });
  }
  return { caught, missed };
}

/** Why a keyword does not catch a term; null where it does. All in match form. */
function whyNot(term: string, keyword: string, words: readonly string[], match: KeywordMatch): string | null {
  const own = term.split(' ');
  if (match === 'exact' && term === keyword) return null;
  if (match === 'phrase' && holdsPhrase(term, keyword)) return null;
  if (match === 'broad' && holdsWords(own, words)) return null;
  const lacking = words.filter((word) => !own.includes(word));
  if (lacking.length > 0) return `lacks “${lacking.join('”, “')}”`;
  if (!holdsWords(own, words)) return 'holds a word once that the keyword has twice';
  if (match === 'exact' && holdsPhrase(term, keyword)) return 'has more words than exact match takes';
  return match === 'exact' && own.length === words.length
    ? 'has its words in another order'
    : 'has the words apart, or in another order';
}
