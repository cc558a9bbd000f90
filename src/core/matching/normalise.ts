// Accents of scripts in which they are optional to a shopper. In others (Japanese, Hindi, Thai) marks make the word.
const OPTIONAL_MARKS = /(?<=[\p{Script=Latin}\p{Script=Greek}])\p{Mark}+/gu;
const NOT_WORD = /[^\p{Letter}\p{Number}\p{Mark}]+/gu;
const APOSTROPHE = /(?<=\p{Letter})['’](?=\p{Letter})/gu;
const PLAIN = /^[a-z0-9]+(?: [a-z0-9]+)*$/;
const SINGLE_LETTERS: Record<string, string> = {
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ø: 'o',
  đ: 'd',
  ł: 'l',
  þ: 'th',
  ı: 'i',
};
const SINGLE_LETTER = /[ßæœøđłþı]/g;

/**
 * The form in which two spellings of a search term are one: compatibility forms folded, lower case, accents and
 * punctuation gone, single spaces. "Crème-Fraîche  Jar!" -> "creme fraiche jar". Empty when the text holds no word.
 */
export function normaliseTerm(text: string): string {
  if (PLAIN.test(text)) return text;
  return text
    .normalize('NFKD')
    .toLowerCase()
    .replace(OPTIONAL_MARKS, '')
    .normalize('NFC')
    .replace(SINGLE_LETTER, (letter) => SINGLE_LETTERS[letter])
    .replace(APOSTROPHE, '')
    .replace(NOT_WORD, ' ')
    .trim();
}

/** The words of a normalised term. */
export function wordsOf(normalised: string): string[] {
  return normalised === '' ? [] : normalised.split(' ');
}
