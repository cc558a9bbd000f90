// What the place of words and the lists of the setup send to the server, and get from it.
import type { WordLists } from '../core/matching';
import type { ListPlace, NegativeList } from '../core/negatives';
import type { Negative } from '../core/structure';

export interface CoreTermRequest {
  account: number;
  productId: number;
  term: string;
}

export interface WordListsRequest {
  account: number;
  lists: WordLists;
}

/** A list of negatives with how it stands in the account; see core/negatives. */
export interface NegativeListInfo extends NegativeList {
  missing: ListPlace[];
  /** How many of its terms hold in each of `campaignIds`, and in how many of these each of `terms` holds. */
  heldByCampaign: number[];
  heldByTerm: number[];
  excess: Negative[];
}

export interface NegativeListRequest {
  account: number;
  /** With `id` null a new one is made. */
  list: Omit<NegativeList, 'id'> & { id: number | null };
}
