/** What kind of search it is, as only the market knows. */
export type QueryKind =
  | 'core'
  | 'tail'
  | 'stray'
  | 'own brand'
  | 'rival brand'
  | 'item'
  | 'own item'
  | 'unseen';

/** What a shopper types (or whose item she looks at), and what only the market knows of it. */
export interface Query {
  /** Place in the world's list; -1 for one that was never made before. */
  index: number;
  text: string;
  /** Its words as matching sees them. */
  words: string[];
  kind: QueryKind;
  /** Index of the product it is about. */
  product: number;
  /** Searches a day, on average. */
  volume: number;
  /** Clicks per impression of that product's ad at rest of search. */
  clickRate: number;
  /** Orders per click of that product's ad at rest of search. */
  conversion: number;
  /** What the strongest rival bids for it at rest of search, median, in micros. */
  rivalBid: number;
  /** A number in [0, 1) of its own, for choices that stay the same from day to day. */
  coin: number;
  /** A visit to a listing: shown on product pages only, caught by item, category, brand and automatic targets. */
  isVisit: boolean;
}
