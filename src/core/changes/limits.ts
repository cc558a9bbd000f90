import { currencyDecimals, formatMoney, formatShare } from '../units';
import type { Refinement } from '../structure';
import type { Day, Micros } from '../units';
import { readWeek } from '../schedules';
import { wordsOf, normaliseTerm } from '../matching';

/** What a market accepts. Money in micros. */
export interface MarketLimits {
  minBid: Micros;
  maxBid: Micros;
  bidStep: Micros;
  minBudget: Micros;
  maxBudget: Micros;
  /** Characters of a keyword or negative, at most. */
  maxLength: number;
  /** Words of a keyword, at most. */
  maxWords: number;
  /** Characters that the market refuses in keywords. */
  refusedCharacters: string;
}

/** Limits assumed for accounts that are fed by files alone, in a currency of hundredths. */
export const USUAL_LIMITS: MarketLimits = {
  minBid: 20_000,
  maxBid: 1_000_000_000,
  bidStep: 10_000,
  minBudget: 1_000_000,
  maxBudget: 1_000_000_000_000,
  maxLength: 80,
  maxWords: 10,
  refusedCharacters: '!%*<>{}|\\^~@$=;',
};

/**
 * Limits assumed for an account that is fed by files alone: bids stand on the smallest unit of its currency, the least bid is two of them, the least
 * budget a hundred, and so on. @param currency its ISO 4217 code
 */
export function usualLimits(currency: string): MarketLimits {
  const times = 10 ** (2 - currencyDecimals(currency));
  const { minBid, maxBid, bidStep, minBudget, maxBudget } = USUAL_LIMITS;
  const money = { minBid, maxBid, bidStep, minBudget, maxBudget };
  const own = Object.entries(money).map(([key, micros]) => [key, micros * times]);
  return { ...USUAL_LIMITS, ...(Object.fromEntries(own) as typeof money) };
}

/** A placement's bids may be raised up to ten times. */
export const MAX_MODIFIER = 9;

/** Something that the market will refuse. */
export interface Finding {
  code:
    | 'bid-below-minimum'
    | 'bid-above-maximum'
    | 'bid-off-step'
    | 'budget-below-minimum'
    | 'budget-above-maximum'
    | 'modifier-out-of-range'
    | 'no-week'
    | 'too-long'
    | 'too-many-words'
    | 'refused-character'
    | 'empty'
    | 'ends-before-it-starts'
    | 'no-day'
    | 'empty-range'
    | 'too-many'
    | 'twice'
    | 'not-this-type'
    | 'not-this-size'
    | 'too-many-bytes';
  sentence: string;
}

/** What the market refuses in a bid. */
export function checkBid(bid: Micros, limits: MarketLimits): Finding[] {
  if (!(bid >= limits.minBid))
    return [
      {
        code: 'bid-below-minimum',
        sentence: `The bid ${formatMoney(bid)} is below the market’s minimum of ${formatMoney(limits.minBid)}.`,
      },
    ];
  if (bid > limits.maxBid)
    return [
      {
        code: 'bid-above-maximum',
        sentence: `The bid ${formatMoney(bid)} is above the market’s maximum of ${formatMoney(limits.maxBid)}.`,
      },
    ];
  if (bid % limits.bidStep !== 0)
    return [
      {
        code: 'bid-off-step',
        sentence: `Bids go in steps of ${formatMoney(limits.bidStep)}; ${bid / 1e6} is not on one.`,
      },
    ];
  return [];
}

/** What the market refuses in a budget. */
export function checkBudget(budget: Micros, limits: MarketLimits): Finding[] {
  if (!(budget >= limits.minBudget))
    return [
      {
        code: 'budget-below-minimum',
        sentence: `The budget ${formatMoney(budget)} is below the market’s minimum of ${formatMoney(limits.minBudget)}.`,
      },
    ];
  if (budget > limits.maxBudget)
    return [
      {
        code: 'budget-above-maximum',
        sentence: `The budget ${formatMoney(budget)} is above the market’s maximum of ${formatMoney(limits.maxBudget)}.`,
      },
    ];
  return [];
}

/** What the market refuses in a modifier (share). */
export function checkModifier(modifier: number): Finding[] {
  if (modifier >= 0 && modifier <= MAX_MODIFIER) return [];
  return [
    {
      code: 'modifier-out-of-range',
      sentence: `The modifier ${formatShare(modifier, 0)} is outside 0 to ${formatShare(MAX_MODIFIER, 0)}.`,
    },
  ];
}

/** What the market refuses in a week of percentages. */
export function checkWeek(week: string): Finding[] {
  if (readWeek(week)) return [];
  return [
    {
      code: 'no-week',
      sentence: 'A schedule has a percentage from −100 (off) to 900 in each of its 168 hours.',
    },
  ];
}

/** What the market refuses in a campaign's first and last day. */
export function checkDates(startsOn: Day | null, endsOn: Day | null): Finding[] {
  if (startsOn === null || endsOn === null || startsOn <= endsOn) return [];
  return [
    {
      code: 'ends-before-it-starts',
      sentence: `The campaign would end on ${endsOn}, before it starts on ${startsOn}.`,
    },
  ];
}

/** What the market refuses in the refinement of a category or brand. */
export function checkRefinement(refine: Refinement | null): Finding[] {
  const { minPrice = 0, maxPrice = Infinity, minRating = 0, maxRating = 5 } = refine ?? {};
  if (minPrice <= maxPrice && minRating <= maxRating) return [];
  return [
    { code: 'empty-range', sentence: 'No item fits: the least price or rating stands above the highest.' },
  ];
}

/** A term as it can be written in a keyword or negative: refused characters become spaces, which matching does not tell apart. */
export function withoutRefused(expression: string, { refusedCharacters }: MarketLimits): string {
  const kept = [...expression].map((character) => (refusedCharacters.includes(character) ? ' ' : character));
  return kept.join('').replace(/\s+/g, ' ').trim();
}

/** What the market refuses in the words of a keyword or negative. */
export function checkWords(expression: string, limits: MarketLimits): Finding[] {
  const findings: Finding[] = [];
  const length = [...expression].length;
  const words = wordsOf(normaliseTerm(expression)).length;
  const refused = [...expression].find((character) => limits.refusedCharacters.includes(character));
  if (words === 0) findings.push({ code: 'empty', sentence: 'The text holds no word.' });
  if (length > limits.maxLength)
    findings.push({
      code: 'too-long',
      sentence: `The text has ${length} characters; the market takes ${limits.maxLength}.`,
    });
  if (words > limits.maxWords)
    findings.push({
      code: 'too-many-words',
      sentence: `The text has ${words} words; the market takes ${limits.maxWords}.`,
    });
  if (refused !== undefined)
    findings.push({ code: 'refused-character', sentence: `The market refuses the character “${refused}”.` });
  return findings;
}
