import type { Change } from '../../core/changes';
import type { Query } from '../connection';

/** A change that the market answered, with where it takes place. Money in micros a month, as expected. */
export interface SentChange {
  id: number;
  day: string;
  state: 'accepted' | 'refused';
  change: Change;
  reason: string;
  answer: string | null;
  step: string | null;
  isUndo: boolean;
  baleId: number | null;
  spend: number;
  sales: number;
  place: string;
}

/** Changes that were answered on the days of a window, in the order of their answers. */
export async function listSentBetween(
  sql: Query,
  accountId: number,
  { from, to }: { from: string; to: string },
): Promise<SentChange[]> {
  return sql<SentChange[]>`
    select c.change_id as id, c.answered_on as day, c.state, c.change, c.reason, c.answer, c.figures->>'step' as step,
      c.undoes_change_id is not null as "isUndo", c.bale_id as "baleId", c.effect_spend as spend, c.effect_sales as sales,
      concat_ws(' › ', p.name, g.name, t.expression) as place
    from mowing.change c
    left join mowing.target t on t.account_id = c.account_id
      and t.target_id = case when c.change->>'entity' = 'target' then (c.change->>'id')::integer else coalesce((c.change->>'targetId')::integer, c.made_target_id) end
    left join mowing.ad_group g on g.account_id = c.account_id and g.ad_group_id = coalesce((c.change->>'adGroupId')::integer, t.ad_group_id)
    left join mowing.campaign p on p.account_id = c.account_id and p.campaign_id = coalesce((c.change->>'campaignId')::integer, g.campaign_id)
    where c.account_id = ${accountId} and c.state in ('accepted', 'refused') and c.answered_on between ${from} and ${to}
    order by c.answered_at, c.change_id`;
}

/** The account's day on which the market last accepted something; null before. */
export async function findLastBaleDay(sql: Query, accountId: number): Promise<string | null> {
  const [row] = await sql<{ day: string | null }[]>`
    select max(answered_on) as day from mowing.change where account_id = ${accountId} and state = 'accepted'`;
  return row.day;
}
