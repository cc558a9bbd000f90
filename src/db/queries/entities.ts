import type {
  MarketAd,
  MarketAdGroup,
  MarketCampaign,
  MarketLine,
  MarketNegative,
  MarketProduct,
  MarketSchedule,
  MarketTarget,
} from '../../contract/market';
import { partsText } from '../../core/changes';
import { weekText } from '../../core/schedules';
import type { Query } from '../connection';

// Entities as the market lists them: new ones are added, known ones brought up to date. A list goes over as one JSON
// value, whose fields the database reads by name.

const json = (sql: Query, list: unknown[]) => sql`${JSON.stringify(list)}::text::jsonb`;

export async function upsertLines(sql: Query, accountId: number, list: MarketLine[]): Promise<void> {
  await sql`
    insert into mowing.product_line (account_id, market_id, name)
    select ${accountId}, e.id, e.name from jsonb_to_recordset(${json(sql, list)}) as e(id text, name text)
    on conflict (account_id, market_id) do update set name = excluded.name`;
}

/** A product that a file made known by its item code takes on the market's id. */
export async function upsertProducts(sql: Query, accountId: number, list: MarketProduct[]): Promise<void> {
  await sql`
    insert into mowing.product (account_id, market_id, line_id, item_code, sku, name, price_micros, rating, stock, discount)
    select ${accountId}, e.id, l.line_id, e."itemCode", e.sku, e.name, e.price, e.rating, e.stock, e.discount
    from jsonb_to_recordset(${json(sql, list)}) as e(id text, "lineId" text, "itemCode" text, sku text, name text, price bigint,
      rating float8, stock integer, discount float8)
    left join mowing.product_line l on l.account_id = ${accountId} and l.market_id = e."lineId"
    on conflict (account_id, item_code) do update
      set market_id = excluded.market_id, line_id = excluded.line_id, sku = excluded.sku, name = excluded.name,
          price_micros = excluded.price_micros, rating = excluded.rating, stock = excluded.stock, discount = excluded.discount`;
}

export async function upsertCampaigns(sql: Query, accountId: number, list: MarketCampaign[]): Promise<void> {
  await sql`
    insert into mowing.campaign (account_id, market_id, name, state, budget_micros, budget_kind, pacing, flex, similar_on, starts_on, ends_on,
      top_modifier, rest_modifier, pages_modifier)
    select ${accountId}, e.id, e.name, e.state, e.budget, e."budgetKind", e.pacing, e.flex, e."similar", e."startsOn", e."endsOn", e.top, e.rest, e.pages
    from jsonb_to_recordset(${json(sql, list)}) as e(id text, name text, state text, budget bigint, "budgetKind" text, pacing text,
      flex text, "similar" text, "startsOn" date, "endsOn" date, top float8, rest float8, pages float8)
    on conflict (account_id, market_id) do update
      set name = excluded.name, state = excluded.state, budget_micros = excluded.budget_micros, budget_kind = excluded.budget_kind,
          pacing = excluded.pacing, flex = excluded.flex, similar_on = excluded.similar_on, starts_on = excluded.starts_on, ends_on = excluded.ends_on,
          top_modifier = excluded.top_modifier, rest_modifier = excluded.rest_modifier, pages_modifier = excluded.pages_modifier,
          modifiers_known = true`;
}

export async function upsertAdGroups(sql: Query, accountId: number, list: MarketAdGroup[]): Promise<void> {
  await sql`
    insert into mowing.ad_group (account_id, campaign_id, market_id, name, state, default_bid_micros, budget_micros, starts_on, ends_on)
    select ${accountId}, c.campaign_id, e.id, e.name, e.state, e."defaultBid", e.budget, e."startsOn", e."endsOn"
    from jsonb_to_recordset(${json(sql, list)}) as e(id text, "campaignId" text, name text, state text, "defaultBid" bigint,
      budget bigint, "startsOn" date, "endsOn" date)
    join mowing.campaign c on c.account_id = ${accountId} and c.market_id = e."campaignId"
    on conflict (account_id, market_id) do update
      set name = excluded.name, state = excluded.state, default_bid_micros = excluded.default_bid_micros,
          budget_micros = excluded.budget_micros, starts_on = excluded.starts_on, ends_on = excluded.ends_on`;
}

/** Also tells each ad group which product it advertises first. */
export async function upsertAds(sql: Query, accountId: number, list: MarketAd[]): Promise<void> {
  const rows = list.map(({ titles, pictures, ...one }) => ({
    ...one,
    parts: partsText({ titles, pictures }),
  }));
  await sql`
    insert into mowing.ad (account_id, ad_group_id, product_id, market_id, parts, state)
    select ${accountId}, g.ad_group_id, p.product_id, e.id, e.parts, e.state
    from jsonb_to_recordset(${json(sql, rows)}) as e(id text, "adGroupId" text, "productId" text, parts text, state text)
    join mowing.ad_group g on g.account_id = ${accountId} and g.market_id = e."adGroupId"
    join mowing.product p on p.account_id = ${accountId} and p.market_id = e."productId"
    on conflict (account_id, market_id) do update set state = excluded.state, parts = excluded.parts`;
  await sql`
    update mowing.ad_group g set product_id = a.product_id
    from (
      select distinct on (ad_group_id) ad_group_id, product_id from mowing.ad where account_id = ${accountId}
      order by ad_group_id, state <> 'enabled', ad_id
    ) a
    where g.account_id = ${accountId} and g.ad_group_id = a.ad_group_id and g.product_id is distinct from a.product_id`;
}

export async function upsertTargets(sql: Query, accountId: number, list: MarketTarget[]): Promise<void> {
  await sql`
    insert into mowing.target (account_id, ad_group_id, market_id, kind, match, expression, refine, bid_micros, state)
    select ${accountId}, g.ad_group_id, e.id, e.kind, e.match, e.expression, e.refine, e.bid, e.state
    from jsonb_to_recordset(${json(sql, list)}) as e(id text, "adGroupId" text, kind text, match text, expression text, refine jsonb,
      bid bigint, state text)
    join mowing.ad_group g on g.account_id = ${accountId} and g.market_id = e."adGroupId"
    on conflict (account_id, market_id) do update
      set bid_micros = excluded.bid_micros, state = excluded.state, kind = excluded.kind, match = excluded.match,
          expression = excluded.expression, refine = excluded.refine`;
}

export async function upsertNegatives(sql: Query, accountId: number, list: MarketNegative[]): Promise<void> {
  await sql`
    insert into mowing.negative (account_id, campaign_id, ad_group_id, market_id, match, expression, state)
    select ${accountId}, c.campaign_id, g.ad_group_id, e.id, e.match, e.expression, e.state
    from jsonb_to_recordset(${json(sql, list)}) as e(id text, "campaignId" text, "adGroupId" text, match text, expression text, state text)
    join mowing.campaign c on c.account_id = ${accountId} and c.market_id = e."campaignId"
    left join mowing.ad_group g on g.account_id = ${accountId} and g.market_id = e."adGroupId"
    where e."adGroupId" is null or g.ad_group_id is not null
    on conflict (account_id, market_id) do update set state = excluded.state`;
}

export async function upsertSchedules(sql: Query, accountId: number, list: MarketSchedule[]): Promise<void> {
  const rows = list.map(({ week, ...one }) => ({ ...one, week: weekText(week) }));
  await sql`
    insert into mowing.schedule (account_id, campaign_id, market_id, name, week, state)
    select ${accountId}, c.campaign_id, e.id, e.name, e.week, e.state
    from jsonb_to_recordset(${json(sql, rows)}) as e(id text, "campaignId" text, name text, week text, state text)
    join mowing.campaign c on c.account_id = ${accountId} and c.market_id = e."campaignId"
    on conflict (account_id, market_id) do update set name = excluded.name, week = excluded.week, state = excluded.state`;
}
