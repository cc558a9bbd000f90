-- Accounts and what they are made of. Every key begins with account_id, so that the tables can be spread by account.
-- market_id is a thing's id on the connected market; null for what is known from files by name only.
create table mowing.account (
  account_id   integer generated always as identity primary key,
  name         text not null check (name <> ''),
  currency     text not null check (currency ~ '^[A-Z]{3}$'),
  target_acos  double precision not null check (target_acos > 0 and target_acos <= 10),
  -- The account's name on a connected market; null for accounts that are fed by files alone.
  market_id    text unique,
  -- The connected market's present day; null: the calendar's.
  market_day   date,
  limits       jsonb,
  -- What the market lets the account do, and prepaid money left; null where it bills afterwards.
  options      jsonb,
  funds_micros bigint,
  -- Up to where the market's changes of entities were taken over.
  entity_cursor bigint not null default 0,
  is_demo      boolean not null default false,
  created_at   timestamptz not null default now()
);

create table mowing.product_line (
  account_id   integer not null references mowing.account on delete cascade,
  line_id      integer generated always as identity,
  market_id    text,
  name         text not null,
  primary key (account_id, line_id),
  unique (account_id, market_id)
);

create table mowing.product (
  account_id   integer not null references mowing.account on delete cascade,
  product_id   integer generated always as identity,
  market_id    text,
  line_id      integer,
  item_code    text not null,
  sku          text,
  name         text not null,
  price_micros bigint check (price_micros >= 0),
  primary key (account_id, product_id),
  unique (account_id, market_id),
  unique (account_id, item_code),
  foreign key (account_id, line_id) references mowing.product_line
);

create table mowing.campaign (
  account_id   integer not null references mowing.account on delete cascade,
  campaign_id  integer generated always as identity,
  market_id    text,
  name         text not null,
  state        text not null default 'enabled' check (state in ('enabled', 'paused', 'archived')),
  budget_micros bigint check (budget_micros >= 0),
  budget_kind  text check (budget_kind in ('daily', 'lifetime')),
  pacing       text check (pacing in ('even', 'fast')),
  -- Whether the market may move bids by itself.
  flex         text check (flex in ('fixed', 'down only', 'both ways')),
  starts_on    date,
  ends_on      date,
  -- Raise of bids by placement, as a share.
  top_modifier double precision not null default 0,
  rest_modifier double precision not null default 0,
  pages_modifier double precision not null default 0,
  primary key (account_id, campaign_id),
  unique (account_id, market_id)
);
create index campaign_by_name on mowing.campaign (account_id, name);

create table mowing.ad_group (
  account_id   integer not null,
  ad_group_id  integer generated always as identity,
  campaign_id  integer not null,
  -- The product it advertises first.
  product_id   integer,
  market_id    text,
  name         text not null,
  state        text not null default 'enabled' check (state in ('enabled', 'paused', 'archived')),
  default_bid_micros bigint check (default_bid_micros >= 0),
  primary key (account_id, ad_group_id),
  unique (account_id, market_id),
  foreign key (account_id, campaign_id) references mowing.campaign on delete cascade,
  foreign key (account_id, product_id) references mowing.product
);
create index ad_group_by_name on mowing.ad_group (account_id, campaign_id, name);

-- A product shown by an ad group.
create table mowing.ad (
  account_id   integer not null,
  ad_id        integer generated always as identity,
  ad_group_id  integer not null,
  product_id   integer not null,
  market_id    text,
  state        text not null default 'enabled' check (state in ('enabled', 'paused', 'archived')),
  primary key (account_id, ad_id),
  unique (account_id, market_id),
  foreign key (account_id, ad_group_id) references mowing.ad_group on delete cascade,
  foreign key (account_id, product_id) references mowing.product
);
create index ad_by_ad_group on mowing.ad (account_id, ad_group_id);

create table mowing.target (
  account_id   integer not null,
  target_id    integer generated always as identity,
  ad_group_id  integer not null,
  market_id    text,
  kind         text not null check (kind in ('keyword', 'item', 'category', 'brand', 'auto', 'unknown')),
  match        text check (match in ('exact', 'phrase', 'broad')),
  expression   text not null,
  -- Which items of a category or brand are meant.
  refine       jsonb,
  -- Null: the ad group's default bid.
  bid_micros   bigint check (bid_micros >= 0),
  state        text not null default 'enabled' check (state in ('enabled', 'paused', 'archived')),
  primary key (account_id, target_id),
  unique (account_id, market_id),
  check ((kind = 'keyword') = (match is not null)),
  foreign key (account_id, ad_group_id) references mowing.ad_group on delete cascade
);
create index target_by_expression on mowing.target (account_id, ad_group_id, expression);

create table mowing.negative (
  account_id   integer not null,
  negative_id  integer generated always as identity,
  campaign_id  integer not null,
  ad_group_id  integer,
  market_id    text,
  match        text not null check (match in ('exact', 'phrase', 'item')),
  expression   text not null,
  state        text not null default 'enabled' check (state in ('enabled', 'archived')),
  primary key (account_id, negative_id),
  unique (account_id, market_id),
  foreign key (account_id, campaign_id) references mowing.campaign on delete cascade,
  foreign key (account_id, ad_group_id) references mowing.ad_group on delete cascade
);

-- Bids raised or lowered at some hours of a weekday (0 = Monday); change is a share, -1 = off.
create table mowing.schedule (
  account_id   integer not null,
  schedule_id  integer generated always as identity,
  campaign_id  integer not null,
  market_id    text,
  weekday      smallint not null check (weekday between 0 and 6),
  from_hour    smallint not null check (from_hour between 0 and 23),
  to_hour      smallint not null check (to_hour between 1 and 24),
  change       double precision not null check (change >= -1),
  state        text not null default 'enabled' check (state in ('enabled', 'archived')),
  primary key (account_id, schedule_id),
  unique (account_id, market_id),
  check (from_hour < to_hour),
  foreign key (account_id, campaign_id) references mowing.campaign on delete cascade
);
