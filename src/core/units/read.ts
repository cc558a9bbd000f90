/** Figures in groups, of three at the end, with one decimal mark of another kind at most: 1,234.50, 1.234,50, 1 234,5, 12,34,567. */
const GROUPED = /^\d{1,3}(?:([.,'’ ])\d{2,3})?(?:\1\d{2,3})*(?<=[.,'’ ]\d{3})(?:(?!\1)[.,]\d*)?$/;
const PLAIN = /^\d*(?:[.,]\d*)?$/;

/**
 * A number as a person types or pastes it, in either way of writing: "1,25" and "1.25" are the same; "1,234.50" and "1.234,50" too. A
 * single mark is a decimal mark. Null: it is no number.
 */
export function readNumber(text: string): number | null {
  const bare = text
    .trim()
    .replace(/[\u00a0\u202f\u2009]/g, ' ')
    .replace(/^[−–]/, '-')
    .replace(/\s*%$/, '');
  const sign = bare.startsWith('-') ? -1 : 1;
  const digits = bare.replace(/^[+-]/, '');
  if (!/\d/.test(digits)) return null;
  if (PLAIN.test(digits)) return sign * Number(digits.replace(',', '.'));
  const group = GROUPED.exec(digits)?.[1];
  return group === undefined ? null : sign * Number(digits.replaceAll(group, '').replace(',', '.'));
}
