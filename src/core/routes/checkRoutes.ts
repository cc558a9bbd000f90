import { groupBy } from '../order';
import type { StructureIndex } from '../structure';
import type { Route } from './route';

/** Why a route cannot be. */
export interface RouteFault {
  route: Route;
  sentence: string;
}

/**
 * What is wrong with a set of routes: ends that are gone or do not run, a home that is the source itself, item codes sent to where words are
 * bid on (and the other way round), and chains that come back to where they began. Chains as such are fine: auto to broad to exact.
 */
export function checkRoutes(routes: readonly Route[], structure: StructureIndex): RouteFault[] {
  const faults = routes.flatMap((route): RouteFault[] => {
    const sentence = faultOf(route, structure);
    return sentence === null ? [] : [{ route, sentence }];
  });
  const next = groupBy(routes, ({ sourceId }) => sourceId);
  for (const route of routes)
    if (route.sourceId !== route.homeId && comesBack(route, next))
      faults.push({
        route,
        sentence: 'The chain comes back to where it began: a term would move in a circle.',
      });
  return faults;
}

/** The routes whose both ends are still there: an ad group may end after a route was kept. */
export function liveRoutes(routes: readonly Route[], structure: StructureIndex): Route[] {
  return routes.filter(({ sourceId, homeId }) => !isGone(sourceId, structure) && !isGone(homeId, structure));
}

function isGone(id: number, structure: StructureIndex): boolean {
  const adGroup = structure.adGroup(id);
  return (
    !adGroup || adGroup.state === 'archived' || structure.campaign(adGroup.campaignId)?.state === 'archived'
  );
}

function faultOf({ sourceId, homeId, takes }: Route, structure: StructureIndex): string | null {
  if (isGone(sourceId, structure)) return 'The ad group that it begins at is gone.';
  if (isGone(homeId, structure)) return 'The ad group that it leads to is gone: a dead end.';
  if (sourceId === homeId) return 'It leads to the ad group that it begins at.';
  if (takes === 'items' && structure.wordHomes.some(({ id }) => id === homeId))
    return 'It leads item codes to an ad group of keywords.';
  if (takes === 'words' && structure.itemHomes.some(({ id }) => id === homeId))
    return 'It leads words to an ad group of items.';
  return null;
}

function comesBack(route: Route, next: ReadonlyMap<number, readonly Route[]>): boolean {
  const seen = new Set<number>();
  const open = [route.homeId];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === route.sourceId) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    for (const { homeId } of next.get(at) ?? []) open.push(homeId);
  }
  return false;
}
