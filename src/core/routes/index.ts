export { checkRoutes } from './checkRoutes';
export type { RouteFault } from './checkRoutes';
export { findHome } from './findHome';
export { proposeRoutes } from './proposeRoutes';
export { routeKey, USUAL_ASKS, USUAL_START } from './route';
export type { Route, RouteAsks, StartRule } from './route';
export { freeName, nameByPattern, stemOf, USUAL_PATTERN } from './homeName';
export { liveRoutes } from './checkRoutes';
