import type { Change } from '../../core/changes';
import type { ChangeFigures } from '../../contract/changes';
import type { Db, Query } from '../connection';
import { targetTable } from './targetTable';
import { withRoom } from './withRoom';

/** An accepted change with what its effect is measured by. */
export interface AcceptedChange {
  id: number;
  change: Change;
  figures: ChangeFigures;
  effectSpend: number;
  effectSales: number;
  day: string;
  baleId: number | null;
  isUndo: boolean;
  madeTargetId: number | null;
  campaignId: number | null;
  adGroupId: number | null;
}

/** The changes that were accepted since a day, oldest first. */
export async function listAccepted(sql: Query, accountId: number, from: string): Promise<AcceptedChange[]> {
  return sql<AcceptedChange[]>`
    select c.change_id as id, c.change, c.figures, c.effect_spend as "effectSpend", c.effect_sales as "effectSales",
      c.answered_on as day, c.bale_id as "baleId", c.undoes_change_id is not null as "isUndo", c.made_target_id as "madeTargetId",
      coalesce((c.change->>'campaignId')::integer, n.campaign_id) as "campaignId",
      coalesce((c.change->>'adGroupId')::integer, n.ad_group_id) as "adGroupId"
    from mowing.change c
    left join mowing.negative n on n.account_id = c.account_id and n.negative_id = (c.change->>'negativeId')::integer
    where c.account_id = ${accountId} and c.state = 'accepted' and c.answered_on >= ${from} order by c.change_id`;
}

/** Figures of one target in one of the eight weeks around a day: 0 to 3 before it, 4 to 7 after. */
export interface WeekRow {
  targetId: number;
  week: number;
  clicks: number;
  spend: number;
  sales: number;
}

/** The four weeks from a day on up to `until`, and as many before it with the same weekdays, by target. Money in micros. */
export async function readWeeksAround(
  sql: Db,
  accountId: number,
  day: string,
  until: string,
): Promise<WeekRow[]> {
  const table = await targetTable(sql, accountId, day, until);
  return withRoom(
    sql,
    (tx) => tx<WeekRow[]>`
      select target_id as "targetId",
        (case when day < ${day}::date then 3 - (${day}::date - day - 1) / 7 else 4 + (day - ${day}::date) / 7 end) as week,
        sum(clicks)::float8 as clicks, sum(spend_micros)::float8 as spend, sum(sales_micros)::float8 as sales
      from mowing.${tx.unsafe(table)}
      where account_id = ${accountId} and day between ${day}::date - 28 and least(${day}::date + 27, ${until}::date)
        -- A day before is there with the one that stands for it after: as many weeks on as it is back, the same weekday.
        and (day >= ${day}::date or day + 7 * (2 * ((${day}::date - day - 1) / 7) + 1) <= ${until}::date)
        and (clicks > 0 or orders > 0)
      group by 1, 2`,
  );
}
