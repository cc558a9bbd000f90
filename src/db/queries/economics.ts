import type { Goal } from '../../core/goals';
import type { ProductCosts } from '../../core/economics';
import type { Query } from '../connection';

/** A product with what it costs; the market's price stands where none is set by hand. */
export interface ProductRow {
  id: number;
  itemCode: string;
  sku: string | null;
  name: string;
  lineId: number | null;
  line: string | null;
  marketPrice: number | null;
  ownPrice: number | null;
  goods: number | null;
  fees: number | null;
  shipping: number | null;
  refundRate: number | null;
  recovered: number | null;
  /** As the market lists it: stars, pieces at hand, share off the usual price; null where it does not tell. */
  rating: number | null;
  stock: number | null;
  discount: number | null;
}

export async function listProducts(sql: Query, accountId: number): Promise<ProductRow[]> {
  return sql<ProductRow[]>`
    select p.product_id as id, p.item_code as "itemCode", p.sku, p.name, p.line_id as "lineId", l.name as line,
      p.price_micros as "marketPrice", k.price_micros as "ownPrice", k.goods_micros as goods, k.fees_micros as fees,
      k.shipping_micros as shipping, k.refund_rate as "refundRate", k.recovered_micros as recovered, p.rating, p.stock, p.discount
    from mowing.product p
    left join mowing.product_line l on l.account_id = p.account_id and l.line_id = p.line_id
    left join mowing.product_cost k on k.account_id = p.account_id and k.product_id = p.product_id
    where p.account_id = ${accountId} order by l.name nulls last, p.name, p.product_id`;
}

/** What costs one product has by hand. */
export interface CostsToKeep extends ProductCosts {
  productId: number;
}

/** Keeps costs. @returns how many rows are different now */
export async function upsertCosts(sql: Query, accountId: number, list: CostsToKeep[]): Promise<number> {
  const rows = await sql`
    insert into mowing.product_cost as k (account_id, product_id, price_micros, goods_micros, fees_micros, shipping_micros, refund_rate, recovered_micros)
    select ${accountId}, e."productId", e.price, e.goods, e.fees, e.shipping, e."refundRate", e.recovered
    from jsonb_to_recordset(${JSON.stringify(list)}::text::jsonb) as e("productId" integer, price bigint, goods bigint, fees bigint,
      shipping bigint, "refundRate" float8, recovered bigint)
    on conflict (account_id, product_id) do update
      set price_micros = excluded.price_micros, goods_micros = excluded.goods_micros, fees_micros = excluded.fees_micros,
          shipping_micros = excluded.shipping_micros, refund_rate = excluded.refund_rate, recovered_micros = excluded.recovered_micros, by_caller = excluded.by_caller,
          changed_at = now()
      where (k.price_micros, k.goods_micros, k.fees_micros, k.shipping_micros, k.refund_rate, k.recovered_micros)
        is distinct from (excluded.price_micros, excluded.goods_micros, excluded.fees_micros, excluded.shipping_micros, excluded.refund_rate, excluded.recovered_micros)
    returning 1`;
  return rows.length;
}

/** A goal with the name of what it stands on. */
export type GoalRow = Goal & { name: string };

export async function listGoals(sql: Query, accountId: number): Promise<GoalRow[]> {
  return sql<GoalRow[]>`
    select o.scope, o.scope_id as "scopeId", o.kind, o.low, o.high,
      case o.scope when 'account' then '' when 'line' then l.name when 'product' then p.name when 'campaign' then c.name
        else gc.name || ' › ' || g.name end as name
    from mowing.goal o
    left join mowing.product_line l on o.scope = 'line' and l.account_id = o.account_id and l.line_id = o.scope_id
    left join mowing.product p on o.scope = 'product' and p.account_id = o.account_id and p.product_id = o.scope_id
    left join mowing.campaign c on o.scope = 'campaign' and c.account_id = o.account_id and c.campaign_id = o.scope_id
    left join mowing.ad_group g on o.scope = 'ad-group' and g.account_id = o.account_id and g.ad_group_id = o.scope_id
    left join mowing.campaign gc on gc.account_id = o.account_id and gc.campaign_id = g.campaign_id
    where o.account_id = ${accountId}
    order by array_position(array['account', 'line', 'product', 'campaign', 'ad-group'], o.scope), name`;
}

/** Keeps goals. @returns how many are different now */
export async function upsertGoals(sql: Query, accountId: number, list: Goal[]): Promise<number> {
  const rows = await sql`
    insert into mowing.goal as o (account_id, scope, scope_id, kind, low, high)
    select ${accountId}, e.scope, e."scopeId", e.kind, e.low, e.high
    from jsonb_to_recordset(${JSON.stringify(list)}::text::jsonb) as e(scope text, "scopeId" integer, kind text, low float8, high float8)
    on conflict (account_id, scope, scope_id) do update
      set kind = excluded.kind, low = excluded.low, high = excluded.high, by_caller = excluded.by_caller, changed_at = now()
      where (o.kind, o.low, o.high) is distinct from (excluded.kind, excluded.low, excluded.high)
    returning 1`;
  return rows.length;
}

export async function deleteGoal(
  sql: Query,
  accountId: number,
  scope: Goal['scope'],
  scopeId: number,
): Promise<void> {
  await sql`delete from mowing.goal where account_id = ${accountId} and scope = ${scope} and scope_id = ${scopeId}`;
}

/** Everything that a goal can stand on: scope, id and name. */
export async function listScopes(
  sql: Query,
  accountId: number,
): Promise<{ scope: Goal['scope']; id: number; name: string }[]> {
  return sql`
    select 'line' as scope, line_id as id, name from mowing.product_line where account_id = ${accountId}
    union all select 'product', product_id, name from mowing.product where account_id = ${accountId}
    union all select 'campaign', campaign_id, name from mowing.campaign where account_id = ${accountId} and state <> 'archived'
    union all select 'ad-group', g.ad_group_id, c.name || ' › ' || g.name
      from mowing.ad_group g join mowing.campaign c on c.account_id = g.account_id and c.campaign_id = g.campaign_id
      where g.account_id = ${accountId} and g.state <> 'archived'`;
}
