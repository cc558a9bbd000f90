import type { Placement } from '../../core/structure';
import type { Db, Query } from '../connection';
import { targetTable } from './targetTable';
import { readColumns } from './numberColumns';
import { sumOf } from './sumOf';

/**
 * The days of targets and of campaigns by placement from a day on, ages counted back from the day before `today`. Days without a click
 * or an order say nothing about a bid and are left out.
 * @returns with the kind of report that the days of targets are from
 */
export async function readBidDays(sql: Db, accountId: number, from: string, today: string) {
  const table = await targetTable(sql, accountId, from, today);
  // Of a target there is one row a day, and of a campaign's placement; of the terms that a target caught there are many.
  const of = (column: string) => (table === 'target_day' ? column : sumOf(column));
  const age = `($3::date - 1 - day) as age`;
  const where = 'account_id = $1 and day >= $2::date and day < $3::date and (clicks > 0 or orders > 0)';
  const [days, placements] = await Promise.all([
    readColumns(
      sql,
      [accountId, from, today],
      ['targetId', 'age', 'clicks', 'spend', 'orders', 'sales'],
      `select target_id as "targetId", ${age}, ${of('clicks')} as clicks, ${of('spend_micros')} as spend, ${of('orders')} as orders, ${of('sales_micros')} as sales
       from mowing.${table} where ${where} ${table === 'target_day' ? '' : 'group by target_id, day'}`,
    ),
    readColumns(
      sql,
      [accountId, from, today],
      ['campaignId', 'placement', 'age', 'clicks', 'spend', 'orders'],
      `select campaign_id as "campaignId", placement, ${age}, clicks, spend_micros as spend, orders from mowing.placement_day where ${where}`,
    ),
  ]);
  return { days, placements, kind: table === 'target_day' ? ('targets' as const) : ('terms' as const) };
}

/** Accepted changes of the given kinds, which set bids, since a day. */
export async function listBidChanges(sql: Query, accountId: number, kinds: readonly string[], from: string) {
  return sql<{ targetId: number; day: string; from: number | null }[]>`
    select (change->>'targetId')::integer as "targetId", answered_on as day, (change->>'from')::bigint as "from"
    from mowing.change
    where account_id = ${accountId} and state = 'accepted' and kind = any(${kinds}) and answered_on >= ${from}`;
}

/** Accepted changes of the given kinds, which set modifiers, since a day. */
export async function listModifierChanges(
  sql: Query,
  accountId: number,
  kinds: readonly string[],
  from: string,
) {
  return sql<{ campaignId: number; placement: Placement; day: string; from: number }[]>`
    select (change->>'campaignId')::integer as "campaignId", change->>'placement' as placement, answered_on as day,
      (change->>'from')::double precision as "from"
    from mowing.change
    where account_id = ${accountId} and state = 'accepted' and kind = any(${kinds}) and answered_on >= ${from}
    order by answered_on, change_id`;
}

/** What the accepted tests since a day cost more a month at most, those that were undone left out; micros. */
export async function listTestCosts(
  sql: Query,
  accountId: number,
  from: string,
): Promise<{ targetId: number; cost: number }[]> {
  return sql<{ targetId: number; cost: number }[]>`
    select coalesce((change->>'targetId')::integer, made_target_id, 0) as "targetId", coalesce(sum((figures->>'testCost')::numeric), 0)::bigint as cost
    from mowing.change c
    where account_id = ${accountId} and state = 'accepted' and figures->>'step' = 'test' and answered_on >= ${from}
      and not exists (select from mowing.change u
        where u.account_id = c.account_id and u.undoes_change_id = c.change_id and u.state = 'accepted')
    group by 1`;
}

/** A word of a target that was made from here, and the day on which it was made. */
interface MadeWord {
  targetId: number;
  termId: number;
  day: string;
  productId: number | null;
}

const listMadeWords = (sql: Query, accountId: number, from: string) =>
  sql<MadeWord[]>`
    with made as materialized (
      select t.target_id, min(c.answered_on) as day, t.expression, g.product_id
      from mowing.change c
      join mowing.target t on t.account_id = c.account_id and t.target_id = c.made_target_id
      join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      where c.account_id = ${accountId} and c.state = 'accepted' and c.made_target_id is not null and c.answered_on > ${from}
        and (t.match = 'exact' or t.kind = 'item')
      group by t.target_id, t.expression, g.product_id
    )
    select m.target_id as "targetId", w.term_id as "termId", m.day, m.product_id as "productId"
    from made m join mowing.term w on w.account_id = ${accountId} and w.text in (m.expression, lower(m.expression))`;

/**
 * What the words (or items) of targets that were made from here brought in the same product's other ad groups, from a day until each was made.
 * A harvested keyword, a target in a new campaign of its own, an item that is bid on again: each keeps its record. The facts are asked for by
 * their terms first, in one go: how few there are the database cannot know beforehand.
 */
export async function listBefore(sql: Query, accountId: number, from: string) {
  const words = await listMadeWords(sql, accountId, from);
  if (words.length === 0) return [];
  const all = <K extends keyof MadeWord>(key: K) => words.map((word) => word[key]);
  return sql<{ targetId: number; clicks: number; orders: number; sales: number }[]>`
    with words as materialized (
      select * from unnest(${all('targetId')}::integer[], ${all('termId')}::integer[], ${all('day')}::date[], ${all('productId')}::integer[])
        as w (target_id, term_id, made_on, product_id)),
    facts as materialized (
      select term_id, target_id, day, clicks, orders, sales_micros from mowing.term_day
      where account_id = ${accountId} and day >= ${from} and term_id = any(${all('termId')}::integer[]))
    select w.target_id as "targetId", sum(f.clicks) as clicks, sum(f.orders) as orders, sum(f.sales_micros) as sales
    from words w
    join facts f on f.term_id = w.term_id and f.day < w.made_on and f.target_id <> w.target_id
    join mowing.target s on s.account_id = ${accountId} and s.target_id = f.target_id
    join mowing.ad_group g on g.account_id = ${accountId} and g.ad_group_id = s.ad_group_id
    where g.product_id is not distinct from w.product_id
    group by w.target_id
    having sum(f.clicks) > 0`;
}
