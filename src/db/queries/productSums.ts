import type { Query } from '../connection';
import { addedUp } from './addedUp';
import type { Span } from './addedUp';
import { sumOf } from './sumOf';
import { targetTable } from './targetTable';

/** What the ads of a product cost and sold in a window and in the one before; micros. Null: of no product, or of several. */
export interface ProductSums {
  id: number | null;
  spend: number;
  sales: number;
  spendBefore: number;
  salesBefore: number;
}

/** The ads of every product over a window and the one that it is compared with. */
export async function readProductSums(
  sql: Query,
  accountId: number,
  window: Span,
  before: Span,
): Promise<ProductSums[]> {
  const fact = (await targetTable(sql, accountId, window.from, window.to)).replace('_day', '');
  const source = addedUp(
    {
      table: `${fact}_day`,
      weekTable: `${fact}_week`,
      columns: ['target_id', 'spend_micros', 'sales_micros'],
    },
    { now: window, before },
  );
  const sum = (column: string, span: string) =>
    `coalesce(${sumOf(`f.${column}_micros`)} filter (where ${source.isIn(span, 'f')}), 0)`;
  // By target first: what it advertises is looked up once for each, and not for each of its weeks.
  return sql.unsafe<ProductSums[]>(
    `with s as materialized (
       select f.target_id, ${sum('spend', 'now')} as spend, ${sum('sales', 'now')} as sales,
         ${sum('spend', 'before')} as spend_before, ${sum('sales', 'before')} as sales_before
       from ${source.rows} f group by f.target_id)
     select g.product_id as id, sum(s.spend)::bigint as spend, sum(s.sales)::bigint as sales,
       sum(s.spend_before)::bigint as "spendBefore", sum(s.sales_before)::bigint as "salesBefore"
     from s
     join mowing.target t on t.account_id = $1 and t.target_id = s.target_id
     join mowing.ad_group g on g.account_id = $1 and g.ad_group_id = t.ad_group_id
     group by g.product_id`,
    [accountId],
  );
}
