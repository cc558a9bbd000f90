import type { Query } from '../connection';

/** A target that was raised, or made, as a test since a day, and what it did since its first test. Money in micros; no bid before of a new one. */
export interface TestedRow {
  targetId: number;
  since: string;
  raises: number;
  before: number | null;
  clicks: number;
  spend: number;
  orders: number;
  sales: number;
}

/** @param settled last day that counts, for spend and sales alike: sales of days whose spend is left out would flatter the ACOS */
export async function listTested(
  sql: Query,
  accountId: number,
  from: string,
  settled: string,
): Promise<TestedRow[]> {
  return sql<TestedRow[]>`
    with tests as materialized (
      select coalesce((change->>'targetId')::integer, made_target_id) as target_id, min(answered_on) as since, count(*)::integer as raises,
        (array_agg((change->>'from')::float8 order by answered_on, change_id))[1] as before
      from mowing.change c
      where account_id = ${accountId} and state = 'accepted' and figures->>'step' = 'test' and answered_on >= ${from}
        and not exists (select from mowing.change u
          where u.account_id = c.account_id and u.undoes_change_id = c.change_id and u.state = 'accepted')
        and coalesce((change->>'targetId')::integer, made_target_id) is not null
      group by 1)
    select t.target_id as "targetId", t.since, t.raises, t.before,
      coalesce(sum(f.clicks) filter (where f.day <= ${settled}), 0)::float8 as clicks,
      coalesce(sum(f.spend_micros) filter (where f.day <= ${settled}), 0)::float8 as spend,
      coalesce(sum(f.orders) filter (where f.day <= ${settled}), 0)::float8 as orders,
      coalesce(sum(f.sales_micros) filter (where f.day <= ${settled}), 0)::float8 as sales
    from tests t left join mowing.target_day f on f.account_id = ${accountId} and f.target_id = t.target_id and f.day >= t.since
    group by 1, 2, 3, 4 order by 2 desc, 1`;
}
