import type {
  AdGroupNow,
  AdNow,
  CampaignNow,
  Entities,
  NegativeNow,
  ScheduleNow,
  TargetNow,
} from '../../core/changes';
import type { Query } from '../connection';

/** Which entities are asked for, by our ids. */
export interface EntityIds {
  campaigns: number[];
  adGroups: number[];
  ads: number[];
  targets: number[];
  negatives: number[];
  schedules: number[];
}

/** Entities as they stand now, with the ad groups and campaigns that they stand in. What is not there is left out. */
export async function readEntities(sql: Query, accountId: number, ids: EntityIds): Promise<Entities> {
  const mine = sql`account_id = ${accountId}`;
  const [ads, targets, negatives, schedules] = await Promise.all([
    sql<AdNow[]>`
      select ad_id as id, ad_group_id as "adGroupId", parts, state from mowing.ad where ${mine} and ad_id = any(${ids.ads}::integer[])`,
    sql<TargetNow[]>`
      select target_id as id, ad_group_id as "adGroupId", expression, state, bid_micros as bid
      from mowing.target where ${mine} and target_id = any(${ids.targets}::integer[])`,
    sql<NegativeNow[]>`
      select negative_id as id, campaign_id as "campaignId", ad_group_id as "adGroupId", expression, state
      from mowing.negative where ${mine} and negative_id = any(${ids.negatives}::integer[])`,
    sql<ScheduleNow[]>`
      select schedule_id as id, campaign_id as "campaignId", name, week, state
      from mowing.schedule where ${mine} and schedule_id = any(${ids.schedules}::integer[])`,
  ]);
  const adGroups = await sql<AdGroupNow[]>`
    select ad_group_id as id, campaign_id as "campaignId", name, state, default_bid_micros as "defaultBid", budget_micros as budget,
      starts_on as "startsOn", ends_on as "endsOn"
    from mowing.ad_group where ${mine} and ad_group_id = any(${[
      ...ids.adGroups,
      ...ads.map(({ adGroupId }) => adGroupId),
      ...targets.map(({ adGroupId }) => adGroupId),
      ...negatives.flatMap(({ adGroupId }) => adGroupId ?? []),
    ]}::integer[])`;
  const campaigns = await sql<CampaignNow[]>`
    select campaign_id as id, name, state, budget_micros as budget, top_modifier as top, rest_modifier as rest, pages_modifier as pages,
      pacing, flex, similar_on as similar, starts_on as "startsOn", ends_on as "endsOn",
      (select min(s.name) from mowing.schedule s where s.account_id = c.account_id and s.campaign_id = c.campaign_id and s.state = 'enabled') as schedule
    from mowing.campaign c where ${mine} and campaign_id = any(${[
      ...ids.campaigns,
      ...adGroups.map(({ campaignId }) => campaignId),
      ...negatives.map(({ campaignId }) => campaignId),
    ]}::integer[])`;
  const byId = <T extends { id: number }>(rows: readonly T[]) => new Map(rows.map((row) => [row.id, row]));
  return {
    campaigns: byId(campaigns),
    adGroups: byId(adGroups),
    ads: byId(ads),
    targets: byId(targets),
    negatives: byId(negatives),
    schedules: byId(schedules),
  };
}
