import type { ReportField } from '../../contract/reportFields';
import { MowingError } from '../../contract/mowingError';
import type { Query } from '../connection';

/** A place as a report names it; empty texts where the report has none. */
export type PlaceTexts = Partial<Record<ReportField, string>> & {
  /** What kind of target the text and match type mean; for reports by target. */
  kind?: string;
  expression?: string;
};

/**
 * Finds or makes the entities that places name. With an id, the id counts, and a thing known by name only so far takes
 * it on; without, the name counts.
 * @returns our id of each place, null where its name means several things or its ids belong elsewhere
 */
export async function resolvePlaces(
  tx: Query,
  accountId: number,
  level: 'target' | 'campaign' | 'product',
  places: PlaceTexts[],
): Promise<(number | null)[]> {
  const column = (field: keyof PlaceTexts) => places.map((place) => place[field] || null);
  const name = (field: keyof PlaceTexts) => places.map((place) => place[field] ?? '');
  if (level === 'product') return resolveProducts(tx, accountId, name('itemCode'), name('product'));
  await tx`
    create temp table place on commit drop as
    select p.*, null::integer as campaign_id, null::integer as ad_group_id, null::integer as target_id
    from unnest(${column('campaignId')}::text[], ${name('campaign')}::text[], ${column('adGroupId')}::text[],
      ${name('adGroup')}::text[], ${column('targetId')}::text[], ${name('kind')}::text[], ${column('match')}::text[],
      ${name('expression')}::text[]) with ordinality
      as p(campaign_mid, campaign, ad_group_mid, ad_group, target_mid, kind, match, expression, place)`;
  await tx`analyze place`;
  await refuseForeign(tx, accountId);
  await resolveCampaigns(tx, accountId);
  if (level === 'target') {
    await resolveAdGroups(tx, accountId);
    await resolveTargets(tx, accountId);
  }
  const rows = await tx<{ id: number | null }[]>`
    select ${tx.unsafe(`${level}_id`)} as id from place order by place`;
  await tx`drop table place`;
  return rows.map(({ id }) => id);
}

/**
 * Tells a report of another account: its campaigns, by id and name, are that account's and not this one's. An account
 * without campaigns of its own takes any.
 */
async function refuseForeign(tx: Query, accountId: number): Promise<void> {
  const [foreign] = await tx<{ campaign: string }[]>`
    select c.name as campaign
    from place p
    join mowing.campaign c on c.market_id = p.campaign_mid and c.name = p.campaign and c.account_id <> ${accountId}
    where exists (select from mowing.campaign own where own.account_id = ${accountId} and own.market_id is not null)
      and not exists (select from mowing.campaign own
                      where own.account_id = ${accountId} and own.market_id = p.campaign_mid and own.name = p.campaign)
    limit 1`;
  if (foreign)
    throw new MowingError(
      'unreadable-file',
      `The file is one of another account: its campaign “${foreign.campaign}” belongs there. Nothing was taken in. Choose the account that it comes from first.`,
    );
}

async function resolveProducts(
  tx: Query,
  accountId: number,
  codes: string[],
  names: string[],
): Promise<number[]> {
  // A product that was known by its code alone takes the name on.
  await tx`
    insert into mowing.product as p (account_id, item_code, name)
    select distinct on (upper(n.code)) ${accountId}::integer, upper(n.code), coalesce(nullif(n.name, ''), upper(n.code))
    from unnest(${codes}::text[], ${names}::text[]) as n(code, name) order by upper(n.code), n.name = ''
    on conflict (account_id, item_code) do update set name = excluded.name
      where p.name = p.item_code and excluded.name <> p.item_code`;
  const rows = await tx<{ id: number }[]>`
    select p.product_id as id from unnest(${codes}::text[]) with ordinality as n(code, place)
    join mowing.product p on p.account_id = ${accountId} and p.item_code = upper(n.code) order by n.place`;
  return rows.map(({ id }) => id);
}

async function resolveCampaigns(tx: Query, accountId: number) {
  await adoptIds(tx, accountId, 'campaign');
  await tx`
    insert into mowing.campaign (account_id, market_id, name, modifiers_known)
    select distinct on (p.campaign_mid) ${accountId}::integer, p.campaign_mid, coalesce(nullif(p.campaign, ''), 'Campaign ' || p.campaign_mid), false
    from place p where p.campaign_mid is not null order by p.campaign_mid
    on conflict (account_id, market_id) do nothing`;
  await tx`
    insert into mowing.campaign (account_id, name, modifiers_known)
    select distinct ${accountId}::integer, p.campaign, false from place p
    where p.campaign_mid is null
      and not exists (select from mowing.campaign c where c.account_id = ${accountId} and c.name = p.campaign)`;
  await tx`
    update place p set campaign_id = c.campaign_id from mowing.campaign c
    where c.account_id = ${accountId} and p.campaign_mid = c.market_id`;
  await tx`
    update place p set campaign_id = c.campaign_id
    from (select name, min(campaign_id) as campaign_id from mowing.campaign where account_id = ${accountId}
          group by name having count(*) = 1) c
    where p.campaign_mid is null and p.campaign = c.name`;
}

async function resolveAdGroups(tx: Query, accountId: number) {
  await adoptIds(tx, accountId, 'ad_group');
  await tx`
    insert into mowing.ad_group (account_id, campaign_id, market_id, name)
    select distinct on (p.ad_group_mid) ${accountId}::integer, p.campaign_id, p.ad_group_mid, coalesce(nullif(p.ad_group, ''), 'Ad group ' || p.ad_group_mid)
    from place p where p.ad_group_mid is not null and p.campaign_id is not null order by p.ad_group_mid
    on conflict (account_id, market_id) do nothing`;
  await tx`
    insert into mowing.ad_group (account_id, campaign_id, name)
    select distinct ${accountId}::integer, p.campaign_id, p.ad_group from place p
    where p.ad_group_mid is null and p.campaign_id is not null
      and not exists (select from mowing.ad_group g
                      where g.account_id = ${accountId} and g.campaign_id = p.campaign_id and g.name = p.ad_group)`;
  await tx`
    update place p set ad_group_id = g.ad_group_id from mowing.ad_group g
    where g.account_id = ${accountId} and p.ad_group_mid = g.market_id and g.campaign_id = p.campaign_id`;
  await tx`
    update place p set ad_group_id = g.ad_group_id
    from (select campaign_id, name, min(ad_group_id) as ad_group_id from mowing.ad_group where account_id = ${accountId}
          group by campaign_id, name having count(*) = 1) g
    where p.ad_group_mid is null and p.campaign_id = g.campaign_id and p.ad_group = g.name`;
}

async function resolveTargets(tx: Query, accountId: number) {
  await adoptIds(tx, accountId, 'target');
  await tx`
    insert into mowing.target (account_id, ad_group_id, market_id, kind, match, expression)
    select distinct on (p.target_mid) ${accountId}::integer, p.ad_group_id, p.target_mid, p.kind, p.match, p.expression
    from place p where p.target_mid is not null and p.ad_group_id is not null order by p.target_mid
    on conflict (account_id, market_id) do nothing`;
  await tx`
    insert into mowing.target (account_id, ad_group_id, kind, match, expression)
    select distinct ${accountId}::integer, p.ad_group_id, p.kind, p.match, p.expression from place p
    where p.target_mid is null and p.ad_group_id is not null
      and not exists (select from mowing.target t
                      where t.account_id = ${accountId} and t.ad_group_id = p.ad_group_id and t.expression = p.expression
                        and t.kind = p.kind and t.match is not distinct from p.match)`;
  await tx`
    update place p set target_id = t.target_id from mowing.target t
    where t.account_id = ${accountId} and p.target_mid = t.market_id and t.ad_group_id = p.ad_group_id`;
  // Several targets with the same text in one ad group differ by state only; the oldest stands for them.
  await tx`
    update place p set target_id = t.target_id
    from (select ad_group_id, kind, match, expression, min(target_id) as target_id from mowing.target
          where account_id = ${accountId} group by 1, 2, 3, 4) t
    where p.target_mid is null and p.ad_group_id = t.ad_group_id and p.kind = t.kind
      and p.match is not distinct from t.match and p.expression = t.expression`;
}

/** Gives the market's id to things that a report without ids made known by name. */
async function adoptIds(tx: Query, accountId: number, table: 'campaign' | 'ad_group' | 'target') {
  const where = {
    campaign: tx`e.name = p.campaign`,
    ad_group: tx`e.name = p.ad_group and e.campaign_id = p.campaign_id`,
    target: tx`e.ad_group_id = p.ad_group_id and e.kind = p.kind and e.match is not distinct from p.match and e.expression = p.expression`,
  }[table];
  const mid = tx.unsafe(`${table}_mid`);
  const id = tx.unsafe(`${table}_id`);
  await tx`
    update mowing.${tx.unsafe(table)} as named set market_id = found.market_id
    from (
      select min(e.${id}) as entity_id, p.${mid} as market_id
      from place p join mowing.${tx.unsafe(table)} e on e.account_id = ${accountId} and e.market_id is null and ${where}
      where p.${mid} is not null
        and not exists (select from mowing.${tx.unsafe(table)} k where k.account_id = ${accountId} and k.market_id = p.${mid})
      group by p.${mid}
    ) found
    where named.account_id = ${accountId} and named.${id} = found.entity_id`;
}
