import type { RefinedTarget } from '../../core/findings';
import type { Query } from '../connection';

/** Live targets on categories and brands that were refined against an own price and rating. */
export async function listRefined(sql: Query, accountId: number): Promise<RefinedTarget[]> {
  return sql<RefinedTarget[]>`
    select target_id as "targetId", refine, refined_against as against from mowing.target
    where account_id = ${accountId} and refined_against is not null and refine is not null and state <> 'archived' order by target_id`;
}

/** An ad that is not ended. */
export interface LiveAd {
  adId: number;
  adGroupId: number;
  productId: number;
}

/** Live ads of some ad groups. */
export async function listAds(sql: Query, accountId: number, adGroups: number[]): Promise<LiveAd[]> {
  return sql<LiveAd[]>`
    select ad_id as "adId", ad_group_id as "adGroupId", product_id as "productId" from mowing.ad
    where account_id = ${accountId} and ad_group_id = any(${adGroups}::integer[]) and state <> 'archived' order by ad_id`;
}
