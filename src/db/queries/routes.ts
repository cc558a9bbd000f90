import type { Route } from '../../core/routes';
import type { Query } from '../connection';

export async function listRoutes(sql: Query, accountId: number): Promise<Route[]> {
  return sql<Route[]>`
    select source_id as "sourceId", takes, home_id as "homeId", match, block, asks, start from mowing.route
    where account_id = ${accountId} order by source_id, takes desc, place, home_id`;
}

/** Keeps these routes in place of all that were there; of the routes of an ad group the first comes first. */
export async function replaceRoutes(tx: Query, accountId: number, routes: readonly Route[]): Promise<void> {
  await tx`delete from mowing.route where account_id = ${accountId}`;
  if (routes.length === 0) return;
  const rows = routes.map(({ sourceId, takes, homeId, match, block, asks, start }, place) => ({
    account_id: accountId,
    source_id: sourceId,
    takes,
    home_id: homeId,
    match,
    block,
    asks: asks && tx.json(asks as never),
    start: tx.json(start as never),
    place,
  }));
  await tx`insert into mowing.route ${tx(rows)}`;
}
