import type { Change } from '../../core/changes';
import { lensNamed } from '../../core/lenses';
import type { LensEntity, LensName } from '../../core/lenses';
import type { ChangeDay } from '../../contract/field';
import type { Query } from '../connection';

/** An accepted change, on the account's day of its answer. */
export interface HistoryEntry {
  id: number;
  day: string;
  change: Change;
  reason: string;
  /** What it was done to: a target, or an ad group; null for others. */
  subject: string | null;
  baleId: number | null;
}

/** What changes are wanted of: one thing, and for campaigns and ad groups what lies below them too. */
export interface HistoryOf {
  targetId?: number;
  adGroupId?: number;
  campaignId?: number;
}

/** Accepted changes, with the target, ad group and campaign that each is about. */
const changesWithPlaces = (sql: Query, accountId: number, from: string) => sql`
  select c.change_id, c.answered_on, c.change, c.reason, c.bale_id, t.target_id, g.ad_group_id, g.product_id,
    t.expression, g.name as ad_group,
    coalesce((c.change->>'campaignId')::integer, g.campaign_id,
      case when c.change->>'entity' = 'campaign' then (c.change->>'id')::integer end) as campaign_id
  from mowing.change c
  left join mowing.target t on t.account_id = c.account_id
    and t.target_id = case when c.change->>'entity' = 'target' then (c.change->>'id')::integer
                           else coalesce((c.change->>'targetId')::integer, c.made_target_id) end
  left join mowing.ad_group g on g.account_id = c.account_id
    and g.ad_group_id = case when c.change->>'entity' = 'ad-group' then (c.change->>'id')::integer
                             else coalesce((c.change->>'adGroupId')::integer, t.ad_group_id) end
  where c.account_id = ${accountId} and c.state = 'accepted' and c.answered_on >= ${from}`;

/** Accepted changes of a thing (of the whole account when nothing is named), newest first. */
export async function listHistory(
  sql: Query,
  accountId: number,
  of: HistoryOf,
  from: string,
  most = 500,
): Promise<HistoryEntry[]> {
  return sql<HistoryEntry[]>`
    select change_id as id, answered_on as day, change, reason, bale_id as "baleId", coalesce(expression, ad_group) as subject
    from (${changesWithPlaces(sql, accountId, from)}) c
    where true
      ${of.targetId ? sql`and target_id = ${of.targetId}` : sql``}
      ${of.adGroupId ? sql`and ad_group_id = ${of.adGroupId}` : sql``}
      ${of.campaignId ? sql`and campaign_id = ${of.campaignId}` : sql``}
    order by answered_on desc, change_id desc limit ${most}`;
}

/** The id by which a change belongs to the rows of a lens. */
const COLUMNS = {
  term: 'target_id',
  target: 'target_id',
  placement: 'campaign_id',
  campaign: 'campaign_id',
  'ad-group': 'ad_group_id',
  product: 'product_id',
} as const satisfies Record<LensEntity, string>;

/** Every accepted change of some rows, or of the whole account (null), counted by day. */
export async function countChangeDays(
  sql: Query,
  accountId: number,
  rows: { lens: LensName; ids: number[] } | null,
  from: string,
  to: string,
): Promise<ChangeDay[]> {
  const column = rows && sql.unsafe(COLUMNS[lensNamed(rows.lens).entity]);
  return sql<ChangeDay[]>`
    select answered_on as day, count(*)::integer as count, case when count(*) = 1 then (array_agg(change))[1] end as change
    from (${changesWithPlaces(sql, accountId, from)}) c
    where answered_on <= ${to} ${rows ? sql`and ${column!} = any(${rows.ids}::integer[])` : sql``}
    group by answered_on order by answered_on`;
}
