export { checkRoutes } from './checkRoutes';
export type { RouteFault } from './checkRoutes';
export { findHome } from './findHome';
export { proposeRoutes } from './proposeRoutes';
export { routeKey } from './route';
export type { Route } from './route';
