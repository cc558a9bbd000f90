import type { AccountInfo } from '../../../contract/api';
import type { CoreTerm, NegativeFinding, PartSettings, WordPart } from '../../../core/words';
import type { KeywordMatch } from '../../../core/matching';
import type { Sums } from '../../../core/measures';

/** What the page gets once an account's terms are loaded. */
export interface LoadedWords {
  loadId: number;
  account: AccountInfo;
  window: { from: string; to: string };
  /** Distinct terms. */
  terms: number;
  /** Products with terms, best sellers first. */
  products: { id: number; name: string; line: string }[];
  /** Whether terms without a click were left out because there are too many. */
  isCut: boolean;
}

/** A term in one place, or summed. */
export interface TermLine {
  term: string;
  place: string;
  sums: Sums;
}

export interface PartsAsked extends PartSettings {
  /** Null: all of the account. */
  productId: number | null;
  /** Null: any. */
  length: number | null;
  /** Parts that hold this text; empty: all. */
  text: string;
  sort: 'excess' | 'spend' | 'sales' | 'clicks' | 'terms';
}

export interface PartsAnswer {
  parts: WordPart[];
  /** How many there are in all. */
  found: number;
}

/** Where a phrase ran. */
export interface PartPlace {
  campaignId: number;
  campaign: string;
  sums: Sums;
  /** Live targets there that a phrase negative would keep from showing. */
  targets: string[];
  isNegative: boolean;
}

export interface PartDetail {
  text: string;
  /** Distinct terms that hold it, most spend first. */
  terms: TermLine[];
  /** How many of them sold. */
  sold: number;
  sums: Sums;
  places: PartPlace[];
  /** Ad groups of the product in which it could be a keyword. */
  adGroups: { id: number; name: string }[];
  /** Whether a live phrase keyword bids on it already. */
  isKeyword: boolean;
}

export interface PreviewAnswer {
  caught: TermLine[];
  caughtCount: number;
  sums: Sums;
  missed: (TermLine & { why: string })[];
  missedCount: number;
}

export interface PreviewAsked {
  expression: string;
  match: KeywordMatch;
}

/** What a staged negative would have blocked. */
export interface BlockedAnswer {
  sums: Sums;
  sold: number;
  terms: string[];
  targets: string[];
}

export type { CoreTerm, NegativeFinding, WordPart };
