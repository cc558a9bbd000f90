import { kindsThat } from '../../core/changes';
import type { CampaignFields } from '../../core/changes';
import type { Query } from '../connection';

/** Writes down a campaign that is to be made. @returns its id */
export async function insertDraftCampaign(
  tx: Query,
  accountId: number,
  one: CampaignFields & { name: string; budget: number },
): Promise<number> {
  const [{ id }] = await tx<{ id: number }[]>`
    insert into mowing.campaign (account_id, name, state, budget_micros, budget_kind, pacing, flex, similar_on, starts_on, ends_on, top_modifier, rest_modifier, pages_modifier)
    values (${accountId}, ${one.name}, 'draft', ${one.budget}, ${one.budgetKind}, ${one.pacing}, ${one.flex}, ${one.similar}, ${one.startsOn}, ${one.endsOn},
      ${one.top}, ${one.rest}, ${one.pages}) returning campaign_id as id`;
  return id;
}

/** Writes down an ad group that is to be made. @returns its id */
export async function insertDraftAdGroup(
  tx: Query,
  accountId: number,
  one: { campaignId: number; productId: number; name: string; defaultBid: number; budget?: number | null },
): Promise<number> {
  const [{ id }] = await tx<{ id: number }[]>`
    insert into mowing.ad_group (account_id, campaign_id, product_id, name, state, default_bid_micros, budget_micros)
    values (${accountId}, ${one.campaignId}, ${one.productId}, ${one.name}, 'draft', ${one.defaultBid}, ${one.budget ?? null}) returning ad_group_id as id`;
  return id;
}

/** An ad group can be filled once it and its ad are made. */
const MAKE_AD_GROUPS = kindsThat(({ makes }) => makes === 'ad-group' || makes === 'ad');

/** The pending change that what goes into a draft ad group has to wait for: the last one that makes it. By ad group. */
export async function makersOfDrafts(tx: Query, accountId: number): Promise<Map<number, number>> {
  const rows = await tx<{ adGroupId: number; id: number }[]>`
    select (change->>'adGroupId')::integer as "adGroupId", max(change_id) as id from mowing.change
    where account_id = ${accountId} and kind = any(${MAKE_AD_GROUPS}) and state in ('staged', 'sending')
    group by 1`;
  return new Map(rows.map(({ adGroupId, id }) => [adGroupId, id]));
}

/** Ends drafts that nothing is going to make any more, and the routes that lead to them. */
export async function dropDrafts(tx: Query, accountId: number): Promise<void> {
  const pending = tx`select from mowing.change c where c.account_id = ${accountId} and c.state in ('staged', 'sending')`;
  await tx`
    update mowing.ad_group g set state = 'archived' where g.account_id = ${accountId} and g.state = 'draft'
      and not exists (${pending} and c.kind = any(${kindsThat(({ makes }) => makes === 'ad-group')}) and (c.change->>'adGroupId')::integer = g.ad_group_id)`;
  await tx`
    update mowing.campaign p set state = 'archived' where p.account_id = ${accountId} and p.state = 'draft'
      and not exists (${pending} and c.kind = any(${kindsThat(({ makes }) => makes === 'campaign')}) and (c.change->>'campaignId')::integer = p.campaign_id)`;
  await tx`
    delete from mowing.route r using mowing.ad_group g where r.account_id = ${accountId} and g.account_id = ${accountId}
      and g.ad_group_id = r.home_id and g.state = 'archived' and g.market_id is null`;
}
