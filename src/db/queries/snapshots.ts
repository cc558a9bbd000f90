import type { Query } from '../connection';

/** Orders of a day that were visible at an age (days after the day). productId 0: the whole account. */
export interface Snapshot {
  day: string;
  age: number;
  productId: number;
  clicks: number;
  orders: number;
}

/** Ages beyond this are taken as final. */
export const OLDEST_AGE = 15;

/** Keeps what is visible now of the recent days, for each product and for the account. @param today the market's present day */
export async function keepSnapshots(sql: Query, accountId: number, today: string): Promise<void> {
  await sql`
    insert into mowing.order_snapshot (account_id, day, age, product_id, clicks, orders)
    select ${accountId}, f.day, (${today}::date - 1 - f.day), coalesce(g.product_id, 0), sum(f.clicks), sum(f.orders)
    from mowing.target_day f
    join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
    join mowing.ad_group g on g.account_id = f.account_id and g.ad_group_id = t.ad_group_id
    where f.account_id = ${accountId} and f.day between ${today}::date - 1 - ${OLDEST_AGE}::integer and ${today}::date - 1
    group by grouping sets ((f.day, g.product_id), (f.day))
    on conflict (account_id, day, age, product_id) do update set clicks = excluded.clicks, orders = excluded.orders`;
}

/** Keeps snapshots that a report of an earlier day tells. */
export async function insertSnapshots(sql: Query, accountId: number, list: Snapshot[]): Promise<void> {
  await sql`
    insert into mowing.order_snapshot (account_id, day, age, product_id, clicks, orders)
    select ${accountId}, e.day, e.age, e."productId", e.clicks, e.orders
    from jsonb_to_recordset(${JSON.stringify(list)}::text::jsonb) as e(day date, age smallint, "productId" integer, clicks integer, orders integer)
    on conflict (account_id, day, age, product_id) do nothing`;
}

/** The snapshots of the whole account of the days since `from`. */
export async function listSnapshots(sql: Query, accountId: number, from: string): Promise<Snapshot[]> {
  return sql<Snapshot[]>`
    select day, age, product_id as "productId", clicks, orders from mowing.order_snapshot
    where account_id = ${accountId} and day >= ${from} and product_id = 0 order by day, age`;
}
