import type { AccountTreeColumns } from '../../contract/field';
import type { RankSpan } from '../../contract/rank';
import type { ProductSalesDay, RankFeed } from '../../core/rank';
import type { Window } from '../../core/windows';

/** What the list of organic ranks is worked out from. */
export interface RankFrom {
  span: RankSpan;
  /** The days of ranks and ads, the compared ones, and as many before these. */
  days: Window;
  window: Window;
  before: Window;
  feed: RankFeed;
  sales: readonly ProductSalesDay[];
  tree: AccountTreeColumns;
  /** Terms that are pinned as core terms, as they match. */
  pinned: readonly { productId: number; form: string }[];
  /** Until when a loss is accepted, by its subject. */
  accepted: ReadonlyMap<string, string>;
}
