import type { Db, Query } from '../connection';
import { targetTable } from './targetTable';
import { withRoom } from './withRoom';

/** Columns printed by PostgreSQL, numbers joined by commas. Money in micros. */
export type PrintedColumns = Record<string, string>;

/**
 * The days of targets and of campaigns by placement from a day on, ages counted back from the day before `today`. Days without a click
 * or an order say nothing about a bid and are left out.
 */
export async function readBidDays(
  sql: Db,
  accountId: number,
  from: string,
  today: string,
): Promise<{ days: PrintedColumns; placements: PrintedColumns }> {
  const table = await targetTable(sql, accountId, from, today);
  const figures = 'sum(clicks) as clicks, sum(spend_micros) as spend, sum(orders) as orders';
  const age = `($3::date - 1 - day) as age`;
  const where = 'account_id = $1 and day >= $2::date and day < $3::date and (clicks > 0 or orders > 0)';
  const [days, placements] = await Promise.all([
    print(
      sql,
      [accountId, from, today],
      ['targetId', 'age', 'clicks', 'spend', 'orders', 'sales'],
      `select target_id as "targetId", ${age}, ${figures}, sum(sales_micros) as sales from mowing.${table} where ${where} group by target_id, day`,
    ),
    print(
      sql,
      [accountId, from, today],
      ['campaignId', 'placement', 'age', 'clicks', 'spend', 'orders'],
      `select campaign_id as "campaignId", placement, ${age}, ${figures} from mowing.placement_day where ${where} group by campaign_id, placement, day`,
    ),
  ]);
  return { days, placements };
}

async function print(
  sql: Db,
  values: [account: number, from: string, today: string],
  names: string[],
  rows: string,
): Promise<PrintedColumns> {
  const printed = names.map((name) => `string_agg("${name}"::text, ',') as "${name}"`);
  const [row] = await withRoom(sql, (tx) =>
    tx.unsafe<Record<string, string | null>[]>(`select ${printed.join(', ')} from (${rows}) s`, values),
  );
  return Object.fromEntries(names.map((name) => [name, row[name] ?? '']));
}

/** Accepted changes of the given kinds, which set bids, since a day. */
export async function listBidChanges(sql: Query, accountId: number, kinds: readonly string[], from: string) {
  return sql<{ targetId: number; day: string; from: number | null }[]>`
    select (change->>'targetId')::integer as "targetId", answered_on as day, (change->>'from')::bigint as "from"
    from mowing.change
    where account_id = ${accountId} and state = 'accepted' and kind = any(${kinds}) and answered_on >= ${from}`;
}

/** Campaigns whose bids are held down, and how far. */
export async function listHeld(sql: Query, accountId: number) {
  return sql<{ campaignId: number; held: number }[]>`
    select campaign_id as "campaignId", held from mowing.campaign where account_id = ${accountId} and held < 1`;
}

/** Notes how far a campaign's bids are held, once a bid worked out with it was accepted. */
export async function keepHeld(sql: Query, accountId: number, targetId: number, held: number): Promise<void> {
  await sql`
    update mowing.campaign c set held = ${held}
    from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where t.account_id = ${accountId} and t.target_id = ${targetId}
      and c.account_id = ${accountId} and c.campaign_id = g.campaign_id and c.held <> ${held}`;
}
