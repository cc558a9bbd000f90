/** Words of headings that are a currency's code besides; they name one only in brackets and capitals. */
const COMMON_WORDS = new Set([
  'ALL',
  'TOP',
  'CUP',
  'TRY',
  'GEL',
  'MOP',
  'NIO',
  'PEN',
  'SOS',
  'BOB',
  'LAK',
  'MAD',
  'AMD',
  'BAM',
]);

const CODES: ReadonlySet<string> = new Set(Intl.supportedValuesOf('currency'));
const known = new Map<string, ReadonlySet<string>>();

/** How an account's own currency may stand beside an amount: its code and its signs, in capitals. */
export function signsOf(currency: string): ReadonlySet<string> {
  let signs = known.get(currency);
  if (!signs) {
    const sign = (currencyDisplay: 'narrowSymbol' | 'symbol') =>
      new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay })
        .formatToParts(1)
        .find(({ type }) => type === 'currency')!.value;
    signs = new Set([currency, sign('narrowSymbol'), sign('symbol')].map((one) => one.toUpperCase()));
    known.set(currency, signs);
  }
  return signs;
}

/**
 * The currency that a heading names, as it stands there: "Sales (USD)", "Spend [kr]", "Cost $", "Sales EUR". Null for none.
 * Words that are a currency too ("Top") count in brackets alone.
 */
export function currencyOfHeading(heading: string): string | null {
  const sign = /\p{Sc}/u.exec(heading);
  if (sign) return sign[0];
  for (const [, inner] of heading.matchAll(/[([]\s*([^)\]]+?)\s*[)\]]/g))
    if (
      CODES.has(inner.toUpperCase()) &&
      (inner === inner.toUpperCase() || !COMMON_WORDS.has(inner.toUpperCase()))
    )
      return inner.toUpperCase();
  const last = /(?:^|[\s_,-])([A-Z]{3})$/.exec(heading.trim());
  return last && CODES.has(last[1]) && !COMMON_WORDS.has(last[1]) ? last[1] : null;
}
