const TEN_CHARACTERS = /^[a-z0-9]{10}$/i;

/**
 * Whether a search term is the market's code of a listing rather than words: one word of ten letters and
 * digits with at least three digits and two letters ("QY7K3M92TD").
 */
export function isItemCode(term: string): boolean {
  const text = term.trim();
  if (!TEN_CHARACTERS.test(text)) return false;
  const digits = text.replace(/\D/g, '').length;
  return digits >= 3 && digits <= 8;
}

/** Item codes are written in capitals, however a report spells them. */
export function writeItemCode(term: string): string {
  return term.trim().toUpperCase();
}
