// What the place of routes sends to the server.
import type { Route } from '../core/routes';

/** All routes of an account, in place of those that were kept. */
export interface RoutesRequest {
  account: number;
  routes: Route[];
}
