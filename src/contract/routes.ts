// What the place of routes sends to the server.
import type { Route } from '../core/routes';

/** All routes of an account, in place of those that were kept. */
export interface RoutesRequest {
  account: number;
  routes: Route[];
}

/** An ad group that is to become a home, in a campaign that is there or in a new one. Money in micros. */
export interface HomeRequest {
  account: number;
  productId: number;
  name: string;
  defaultBid: number;
  campaign: { id: number } | { name: string; budget: number };
}

export interface HomeAnswer {
  adGroupId: number;
  campaignId: number;
}
