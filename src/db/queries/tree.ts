import type { Change } from '../../core/changes';
import type { AdGroupNode, CampaignNode } from '../../core/structure';
import type { Day } from '../../core/units';
import type { Query } from '../connection';

export async function listCampaignNodes(sql: Query, accountId: number): Promise<CampaignNode[]> {
  return sql<CampaignNode[]>`
    select campaign_id as id, name, state, budget_micros as budget, budget_kind as "budgetKind", flex, pacing, similar_on as similar,
      starts_on as "startsOn", ends_on as "endsOn",
      top_modifier as top, rest_modifier as rest, pages_modifier as pages, modifiers_known as "modifiersKnown"
    from mowing.campaign where account_id = ${accountId} order by campaign_id`;
}

export async function listAdGroupNodes(sql: Query, accountId: number): Promise<AdGroupNode[]> {
  return sql<AdGroupNode[]>`
    select ad_group_id as id, campaign_id as "campaignId", name, state, product_id as "productId", default_bid_micros as "defaultBid", budget_micros as budget,
      starts_on as "startsOn", ends_on as "endsOn"
    from mowing.ad_group where account_id = ${accountId} order by ad_group_id`;
}

export async function listLines(sql: Query, accountId: number): Promise<{ id: number; name: string }[]> {
  return sql<{ id: number; name: string }[]>`
    select line_id as id, name from mowing.product_line where account_id = ${accountId} order by line_id`;
}

/**
 * The last accepted change of everything that changes of the given kinds were made on or made, and its day. What a step did to targets
 * along with their campaign is none of their own.
 */
export async function listLastAccepted(
  sql: Query,
  accountId: number,
  kinds: readonly string[],
  alongStep: string,
  before?: Day,
) {
  return sql<{ change: Change; madeTargetId: number | null; day: string }[]>`
    select distinct on (change_key) change, made_target_id as "madeTargetId", answered_on as day from mowing.change
    where account_id = ${accountId} and state = 'accepted' and kind = any(${kinds})
      and (change->>'targetId' is null or figures->>'step' is distinct from ${alongStep})
      ${before === undefined ? sql`` : sql`and answered_on < ${before}`}
    order by change_key, answered_on desc`;
}

/** The newest campaign and ad group of an account, drafts too; 0: none. */
export async function newestIds(sql: Query, accountId: number): Promise<[campaign: number, adGroup: number]> {
  const [{ campaign, adGroup }] = await sql<{ campaign: number; adGroup: number }[]>`
    select
      coalesce((select max(campaign_id) from mowing.campaign where account_id = ${accountId}), 0) as campaign,
      coalesce((select max(ad_group_id) from mowing.ad_group where account_id = ${accountId}), 0) as "adGroup"`;
  return [campaign, adGroup];
}
