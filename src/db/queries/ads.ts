import type { AdInfo, PictureInfo } from '../../contract/ads';
import type { Query } from '../connection';

/** An ad, what it shows as core/changes writes it. */
export type AdRow = Omit<AdInfo, 'titles' | 'pictures' | 'pending'> & { parts: string | null };

/** Ads that have not ended, with the state of what they stand in: the first one that does not run. */
export async function listAds(sql: Query, accountId: number): Promise<AdRow[]> {
  return sql<AdRow[]>`
    select a.ad_id as id, g.ad_group_id as "adGroupId", g.name as "adGroup", c.name as campaign,
      case when c.state <> 'enabled' then c.state when g.state <> 'enabled' then g.state else a.state end as state,
      p.name as product, p.price_micros as price, a.parts
    from mowing.ad a
    join mowing.ad_group g on g.account_id = a.account_id and g.ad_group_id = a.ad_group_id
    join mowing.campaign c on c.account_id = g.account_id and c.campaign_id = g.campaign_id
    join mowing.product p on p.account_id = a.account_id and p.product_id = a.product_id
    where a.account_id = ${accountId} and a.market_id is not null and a.state <> 'archived' and g.state <> 'archived' and c.state <> 'archived'
    order by p.name, c.name, g.name, a.ad_id`;
}

export type PictureRow = Omit<PictureInfo, 'ads'>;

/** The last added first. */
export async function listPictures(sql: Query, accountId: number): Promise<PictureRow[]> {
  return sql<PictureRow[]>`
    select picture_id as id, name, width, height, removed_at is not null as "isRemoved"
    from mowing.ad_picture where account_id = ${accountId} order by added_at desc, picture_id`;
}

export async function readPicture(
  sql: Query,
  accountId: number,
  id: string,
): Promise<{ type: string; bytes: Uint8Array<ArrayBuffer> } | undefined> {
  const [row] = await sql<{ type: string; bytes: Uint8Array<ArrayBuffer> }[]>`
    select type, bytes from mowing.ad_picture where account_id = ${accountId} and picture_id = ${id}`;
  return row;
}

/** One that was there already comes back, under its new name. */
export async function insertPicture(
  tx: Query,
  accountId: number,
  one: { id: string; name: string; type: string; width: number; height: number; bytes: Uint8Array },
): Promise<void> {
  await tx`
    insert into mowing.ad_picture (account_id, picture_id, name, type, width, height, bytes)
    values (${accountId}, ${one.id}, ${one.name}, ${one.type}, ${one.width}, ${one.height}, ${Buffer.from(one.bytes)})
    on conflict (account_id, picture_id) do update set name = excluded.name, added_at = now(), removed_at = null`;
}

/** @returns false when there is no such picture */
export async function removePicture(
  tx: Query,
  accountId: number,
  id: string,
  isRemoved: boolean,
): Promise<boolean> {
  const rows = await tx`
    update mowing.ad_picture set removed_at = ${isRemoved ? tx`now()` : null}
    where account_id = ${accountId} and picture_id = ${id} returning 1`;
  return rows.length > 0;
}
