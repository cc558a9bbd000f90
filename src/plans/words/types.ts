import type { CoreTerm, NegativeFinding, WordPart } from '../../core/words';
import type { Sums } from '../../core/measures';

/** The terms that answers are taken from. */
export interface WordsSummary {
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
  /** Distinct terms that hold it: how many, and those with most spend. */
  count: number;
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

/** What a staged negative would have blocked. */
export interface BlockedAnswer {
  sums: Sums;
  sold: number;
  terms: string[];
  targets: string[];
}

/** Something odd about a negative that stands, with where it and what it is held against stand. */
export type StandingFinding = NegativeFinding & { place: string; byPlace: string };

/** A term of a core list, with the places of its leaks. */
export type PlacedCoreTerm = CoreTerm & { places: string[] };
