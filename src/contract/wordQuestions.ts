// What is asked of an account's search terms, word by word. Money in micros.
import type { KeywordMatch } from '../core/matching';
import type { PartSettings, PlacedNegative } from '../core/words';

/** Word parts with fewer clicks are left out until something else is chosen. */
export const USUAL_PART_CLICKS = 20;

export const PART_SORTS = ['excess', 'spend', 'sales', 'clicks', 'terms'] as const;
export type PartSort = (typeof PART_SORTS)[number];

export interface PartsAsked extends PartSettings {
  /** Null: all of the account. */
  productId: number | null;
  /** Null: any. */
  length: number | null;
  /** Parts that hold this text; empty: all. */
  text: string;
  sort: PartSort;
}

/** What each question about words is asked with. */
export interface WordsAskedWith {
  /** How many terms there are, of which days and products. */
  summary: object;
  /** Word parts of the account or a product. */
  parts: PartsAsked;
  /** Which terms hold a part and where they ran. */
  part: { text: string; productId: number | null };
  /** What a keyword would catch. */
  preview: { expression: string; match: KeywordMatch };
  /** What negatives would have blocked. */
  blocks: { negatives: PlacedNegative[] };
  /** What is odd about the negatives that stand. */
  standing: object;
  /** The core list of a product, with the terms that are pinned to it. */
  core: { productId: number; pinned: string[] };
}
export type WordQuestion = keyof WordsAskedWith;

/** A question as it is sent. */
export type WordsRequest<Q extends WordQuestion> = { account: number } & WordsAskedWith[Q];
