import { normaliseTerm, wordsOf } from './normalise';

/** Words that a market passes over when it compares a search term with a keyword. */
const FILLERS = new Set(
  'a an the of for with and or in on to by at from der die das fur mit und le la les de des pour et'.split(
    ' ',
  ),
);
/** Scripts written without spaces: each of their characters counts as a word, so that phrases are found inside. */
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}]\p{Mark}*/gu;
const HAS_UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}]/u;
const MEASURED = /^(\d+)([a-z]{1,3})$/;
const LATIN_WORD = /^[a-z]{4,}$/;

/**
 * Singular and plural of a word in one form, which need not be a word: "jars" and "jar" -> "jar", "cookies" and
 * "cookie" -> "cooky", "dishes" and "dish" -> "dish". Takes normalised words; folds Latin words of four letters or more.
 */
export function foldPlural(word: string): string {
  let stem = folded.get(word);
  if (stem === undefined) {
    if (folded.size > MOST_FOLDED) folded.clear();
    folded.set(word, (stem = fold(word)));
  }
  return stem;
}

/** Shoppers use few words many times: each is folded once. */
const folded = new Map<string, string>();
const MOST_FOLDED = 50_000;

function fold(word: string): string {
  if (!LATIN_WORD.test(word)) return word;
  let stem = word;
  if (/(?:ch|sh|x|ss|zz)es$/.test(stem)) stem = stem.slice(0, -2);
  else if (/[^sui]s$/.test(stem)) stem = stem.slice(0, -1);
  if (stem.endsWith('ie')) return `${stem.slice(0, -2)}y`;
  return stem.endsWith('oe') ? stem.slice(0, -1) : stem;
}

/**
 * The words by which a market compares a search term with keywords and negatives: normalised, filler words left out
 * (unless nothing else is there), plurals folded, figures and their unit apart ("500ml" -> "500 ml").
 */
export function matchWords(text: string): string[] {
  const spaced = HAS_UNSPACED.test(text)
    ? normaliseTerm(text).replace(UNSPACED, ' $& ').replace(/ +/g, ' ').trim()
    : normaliseTerm(text);
  const words = wordsOf(spaced).flatMap((word) => {
    const measured = MEASURED.exec(word);
    return measured ? [measured[1], measured[2]] : [word];
  });
  const telling = words.filter((word) => !FILLERS.has(word));
  return (telling.length > 0 ? telling : words).map(foldPlural);
}

/** `matchWords` as one text: equal for terms that an exact keyword does not tell apart. */
export function matchForm(text: string): string {
  return matchWords(text).join(' ');
}
