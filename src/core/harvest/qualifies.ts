import { isItemCode } from '../matching';
import { ratio } from '../measures';
import { groupBy } from '../order';
import type { Route, RouteAsks } from '../routes';
import type { TermContext } from '../terms';
import { chanceWithin } from '../terms';
import type { HarvestSettings } from './harvestSettings';

/** Routes by the ad group that they begin at and what they take, best first. */
export type RoutesBySource = ReadonlyMap<string, readonly Route[]>;

const sourceKey = (sourceId: number, takes: Route['takes']) => `${sourceId} ${takes}`;

/** Puts routes where every row finds its own at once: an account has thousands, and a window half a million rows. */
export function routesBySource(routes: readonly Route[]): RoutesBySource {
  return groupBy(routes, ({ sourceId, takes }) => sourceKey(sourceId, takes));
}

const NO_ROUTE: readonly null[] = [null];

/** The routes that a row's term may take, best first; without one a home is looked for, which null stands for. */
export function routesOf(
  { table }: TermContext,
  row: number,
  routes: RoutesBySource,
): readonly (Route | null)[] {
  const takes = isItemCode(table.term[row]) ? 'items' : 'words';
  return routes.get(sourceKey(table.adGroupId[row], takes)) ?? NO_ROUTE;
}

/** The first route that takes a row's term, null for one without a route; undefined when it is not to move. */
export function routeThatTakes(
  context: TermContext,
  row: number,
  routes: RoutesBySource,
  settings: HarvestSettings,
): Route | null | undefined {
  const { table, structure, forms } = context;
  if (table.orders[row] === 0 || table.sales[row] === 0 || forms[row] === '') return undefined;
  const source = structure.adGroup(table.adGroupId[row]);
  if (!source || structure.isNegativeIn(forms[row], source)) return undefined;
  if (structure.exactTargets(forms[row]).length > 0) return undefined;
  const own = routesOf(context, row, routes);
  if (settings.isRoutedOnly && own === NO_ROUTE) return undefined;
  return own.find(
    (route) =>
      !standsIn(context, row, route) &&
      (route?.asks
        ? meetsAsks(context, row, route.asks, settings.targetAcos)
        : meetsStep(context, row, settings)),
  );
}

/** Whether the home bids on the words already, as loosely as the route would. */
function standsIn({ structure, forms }: TermContext, row: number, route: Route | null): boolean {
  if (route === null || route.match === 'exact' || route.takes === 'items') return false;
  return structure.hasKeyword(route.homeId, route.match, forms[row]);
}

function meetsStep(context: TermContext, row: number, settings: HarvestSettings): boolean {
  const { table } = context;
  if (settings.basis === 'counts') {
    const acos = ratio(table.spend[row], table.sales[row]);
    return table.orders[row] >= settings.minOrders && acos !== null && acos <= settings.maxAcos;
  }
  const chance = chanceWithin(context, row, settings.maxAcos);
  return chance !== null && chance >= settings.surety;
}

/** Whether a row shows what a route asks. @param targetAcos share, what a probability is about where no ACOS is asked */
export function meetsAsks(context: TermContext, row: number, asks: RouteAsks, targetAcos: number): boolean {
  const { table } = context;
  const atLeast = (value: number, least: number | null) => least === null || value >= least;
  if (!atLeast(table.orders[row], asks.orders) || !atLeast(table.clicks[row], asks.clicks)) return false;
  if (!atLeast(table.spend[row], asks.spend) || !atLeast(table.days[row], asks.days)) return false;
  if (
    asks.clicksMultiple !== null &&
    table.clicks[row] < asks.clicksMultiple * context.usual(row).clicksPerOrder
  )
    return false;
  if (asks.surety === null)
    return asks.acos === null || (ratio(table.spend[row], table.sales[row]) ?? Infinity) <= asks.acos;
  const chance = chanceWithin(context, row, asks.acos ?? targetAcos);
  return chance !== null && chance >= asks.surety;
}
