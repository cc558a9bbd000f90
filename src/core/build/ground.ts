import type { MarketLimits } from '../changes';
import type { KeywordMatch } from '../matching';
import type { Placement } from '../structure';
import type { Day } from '../units';

/** What a plan is held against. */
export interface PlanGround {
  limits: MarketLimits;
  offers: {
    matches: readonly KeywordMatch[];
    productTargets: boolean;
    modifiers: readonly Placement[];
    bidFlex: boolean;
    budgetKinds: readonly ('daily' | 'lifetime')[];
    mostKeywords: number;
    mostNegatives: number;
    adGroupBudgets: boolean;
    similarCategories: boolean;
  };
  today: Day;
  products: ReadonlyMap<number, { name: string; margin: number | null; itemCode: string }>;
  /** Names of campaigns that are not ended. */
  taken: ReadonlySet<string>;
  lines: ReadonlySet<string>;
  /** The campaign in which a term or item (in match form) has an exact bid for one of these products already. */
  exactIn: (form: string, products: readonly number[]) => string | null;
  /** The campaign of one of these products in which a term (in match form) is negative. */
  negativeIn: (form: string, products: readonly number[]) => string | null;
  /** The word of a list that says a term is never wanted; null where none does. */
  unwanted: (text: string) => string | null;
}
