/** What a pattern of names can hold, each in braces. */
type NameParts = Record<'product' | 'stem' | 'match', string>;

/** As long as nobody writes another. */
export const USUAL_PATTERN = '{stem} – {match}';

/**
 * The words that names of a product's campaigns begin with, up to the last separator that all share: "Airlock lids" of "Airlock lids – auto" and
 * "Airlock lids – exact". With fewer than two names, or none in common: the product's name.
 */
export function stemOf(names: readonly string[], product: string): string {
  if (names.length < 2) return product;
  let shared = names[0];
  for (const name of names) while (!name.startsWith(shared)) shared = shared.slice(0, -1);
  // A word that is shared by chance in its first letters alone is no part of the stem.
  const whole = names.every((name) => name === shared) ? shared : shared.replace(/[\p{L}\p{N}]+$/u, '');
  return whole.replace(/[\s\p{P}\p{S}]+$/u, '') || product;
}

/** A name by a pattern: {product}, {stem} (see stemOf) and {match} (exact, phrase, broad, items) are filled in; other braces stay. */
export function nameByPattern(pattern: string, parts: NameParts): string {
  return pattern
    .replace(/\{(product|stem|match)\}/g, (_, part: keyof NameParts) => parts[part])
    .replace(/\s+/g, ' ')
    .trim();
}

/** The name, with a number behind it where others have it already. */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  for (let number = 2; ; number += 1) if (!taken.has(`${name} ${number}`)) return `${name} ${number}`;
}
