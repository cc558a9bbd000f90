/** How near a search term has to be to a keyword. */
export const KEYWORD_MATCHES = ['exact', 'phrase', 'broad'] as const;
export type KeywordMatch = (typeof KEYWORD_MATCHES)[number];

/** Whether `part` stands in `whole` as whole words in the same order. Both in match form; an empty part stands nowhere. */
export function holdsPhrase(whole: string, part: string): boolean {
  return part !== '' && ` ${whole} `.includes(` ${part} `);
}

/** Whether every word of `part` is among `whole`, in any order; a word named twice has to be there twice. */
export function holdsWords(whole: readonly string[], part: readonly string[]): boolean {
  if (part.length === 0 || part.length > whole.length) return false;
  const left = [...whole];
  return part.every((word) => {
    const at = left.indexOf(word);
    if (at < 0) return false;
    left.splice(at, 1);
    return true;
  });
}
