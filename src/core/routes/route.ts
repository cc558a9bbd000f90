import type { KeywordMatch } from '../matching';
import type { NegativeScope } from '../negatives';

/** Where sold terms of an ad group move to: its words, or its item codes. */
export interface Route {
  sourceId: number;
  takes: 'words' | 'items';
  homeId: number;
  /** How the home bids on the words; item codes become item targets. */
  match: KeywordMatch;
  /** Where a moved term is made a negative, once its home has it. */
  block: NegativeScope | 'nowhere';
}

/** Tells one route from another: an ad group may have several homes for words, and others for items. */
export const routeKey = ({ sourceId, takes, homeId }: Pick<Route, 'sourceId' | 'takes' | 'homeId'>): string =>
  `${sourceId} ${takes} ${homeId}`;
