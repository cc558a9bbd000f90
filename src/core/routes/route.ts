import type { KeywordMatch } from '../matching';
import type { NegativeReach } from '../negatives';
import type { Micros } from '../units';

/** What a term has to show before a route takes it; everything that is not null has to hold. */
export interface RouteAsks {
  /** Orders in the window, at least; one or more. */
  orders: number;
  clicks: number | null;
  /** Clicks, as a multiple of those that an order usually takes in the source's campaign. */
  clicksMultiple: number | null;
  /** Micros in the window, at least. */
  spend: Micros | null;
  /** Days of the window on which it was clicked, at least. */
  days: number | null;
  /** ACOS at most, share. */
  acos: number | null;
  /** Probability that it stays under that ACOS (under the target where none is asked), at least. Null: the window's own ACOS counts. */
  surety: number | null;
}

/** How the first bid in the home is found. */
export interface StartRule {
  /** Expected sales per click x target ACOS; the CPC paid in the source; what the market suggests; a fixed amount. */
  by: 'worth' | 'cpc' | 'market' | 'fixed';
  /** Micros, of a fixed bid. */
  amount: Micros | null;
  /** No more than this multiple of the CPC paid in the source; null: no cap. */
  cap: number | null;
}

/** Where sold terms of an ad group move to: its words, or its item codes. */
export interface Route {
  sourceId: number;
  takes: 'words' | 'items';
  homeId: number;
  /** How the home bids on the words; item codes become item targets. */
  match: KeywordMatch;
  /** Where a moved term is made a negative, once its home has it. */
  block: NegativeReach | 'nowhere';
  /** Null: what the step asks of every term. */
  asks: RouteAsks | null;
  start: StartRule;
}

/** By trial: no more than 1.3 times what a click cost in the source, or a lucky week shouts the bid up. */
export const USUAL_START: StartRule = { by: 'worth', amount: null, cap: 1.3 };

/** What a route asks at first when it is to ask something of its own. */
export const USUAL_ASKS: RouteAsks = {
  orders: 2,
  clicks: null,
  clicksMultiple: null,
  spend: null,
  days: null,
  acos: null,
  surety: null,
};

/** Tells one route from another: an ad group may have several homes for words, and others for items. */
export const routeKey = ({ sourceId, takes, homeId }: Pick<Route, 'sourceId' | 'takes' | 'homeId'>): string =>
  `${sourceId} ${takes} ${homeId}`;
