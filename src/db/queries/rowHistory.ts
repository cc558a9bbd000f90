import type { Change } from '../../core/changes';
import type { Query } from '../connection';

/** An accepted change, on the account's day of its answer. */
export interface HistoryEntry {
  id: number;
  day: string;
  change: Change;
  reason: string;
  baleId: number | null;
}

/** What changes are wanted of: one thing, and for campaigns and ad groups what lies below them too. */
export interface HistoryOf {
  targetId?: number;
  adGroupId?: number;
  campaignId?: number;
}

/** Accepted changes of a thing (of the whole account when nothing is named), newest first. */
export async function listHistory(
  sql: Query,
  accountId: number,
  of: HistoryOf,
  from: string,
  most = 500,
): Promise<HistoryEntry[]> {
  const target = sql`case when c.change->>'entity' = 'target' then (c.change->>'id')::integer
    else coalesce((c.change->>'targetId')::integer, c.made_target_id) end`;
  return sql<HistoryEntry[]>`
    select c.change_id as id, c.answered_on as day, c.change, c.reason, c.bale_id as "baleId"
    from mowing.change c
    left join mowing.target t on t.account_id = c.account_id and t.target_id = ${target}
    left join mowing.ad_group g on g.account_id = c.account_id
      and g.ad_group_id = case when c.change->>'entity' = 'ad-group' then (c.change->>'id')::integer
                               else coalesce((c.change->>'adGroupId')::integer, t.ad_group_id) end
    where c.account_id = ${accountId} and c.state = 'accepted' and c.answered_on >= ${from}
      ${of.targetId ? sql`and t.target_id = ${of.targetId}` : sql``}
      ${of.adGroupId ? sql`and g.ad_group_id = ${of.adGroupId}` : sql``}
      ${
        of.campaignId
          ? sql`and coalesce((c.change->>'campaignId')::integer, g.campaign_id,
                case when c.change->>'entity' = 'campaign' then (c.change->>'id')::integer end) = ${of.campaignId}`
          : sql``
      }
    order by c.answered_on desc, c.change_id desc limit ${most}`;
}
