-- The stand-in market's own books. It shares nothing with Mowing's tables but the server they live on. Money in micros.
create table quaymarket.account (
  account_id  text primary key,
  scenario    text not null,
  name        text not null,
  currency    text not null,
  first_day   date not null,
  today       date not null,
  target_acos double precision not null,
  limits      jsonb not null,
  options     jsonb not null,
  -- What one day hands to the next: ranks, funds, purchases still to come.
  state       jsonb not null,
  -- Counts up with every change of an entity, so that a client can ask for what changed since.
  changes     bigint not null default 0
);

create table quaymarket.line (
  account_id text not null references quaymarket.account on delete cascade,
  id         text not null,
  name       text not null,
  changed    bigint not null default 0,
  primary key (account_id, id)
);

create table quaymarket.product (
  account_id text not null references quaymarket.account on delete cascade,
  id         text not null,
  line_id    text not null,
  item_code  text not null,
  sku        text not null,
  name       text not null,
  price      bigint not null,
  changed    bigint not null default 0,
  primary key (account_id, id)
);

create table quaymarket.campaign (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  name        text not null,
  state       text not null default 'enabled',
  budget      bigint not null,
  budget_kind text not null default 'daily',
  pacing      text not null default 'even',
  flex        text not null default 'fixed',
  starts_on   date not null,
  ends_on     date,
  top         double precision not null default 0,
  rest        double precision not null default 0,
  pages       double precision not null default 0,
  changed     bigint not null default 0,
  primary key (account_id, id)
);

create table quaymarket.ad_group (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  campaign_id text not null,
  name        text not null,
  state       text not null default 'enabled',
  default_bid bigint not null,
  changed     bigint not null default 0,
  primary key (account_id, id)
);

create table quaymarket.ad (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  ad_group_id text not null,
  product_id  text not null,
  state       text not null default 'enabled',
  changed     bigint not null default 0,
  primary key (account_id, id)
);
create unique index ad_once on quaymarket.ad (account_id, ad_group_id, product_id) where state <> 'archived';

create table quaymarket.target (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  ad_group_id text not null,
  kind        text not null,
  match       text,
  expression  text not null,
  norm        text not null,
  refine      jsonb,
  bid         bigint,
  state       text not null default 'enabled',
  changed     bigint not null default 0,
  primary key (account_id, id)
);
create unique index target_once on quaymarket.target
  (account_id, ad_group_id, kind, coalesce(match, ''), norm, coalesce(refine::text, '')) where state <> 'archived';

create table quaymarket.negative (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  campaign_id text not null,
  ad_group_id text,
  match       text not null,
  expression  text not null,
  norm        text not null,
  state       text not null default 'enabled',
  changed     bigint not null default 0,
  primary key (account_id, id)
);
create unique index negative_once on quaymarket.negative (account_id, campaign_id, coalesce(ad_group_id, ''), match, norm) where state <> 'archived';

create table quaymarket.schedule (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  campaign_id text not null,
  weekday     smallint not null,
  from_hour   smallint not null,
  to_hour     smallint not null,
  change      double precision not null,
  state       text not null default 'enabled',
  changed     bigint not null default 0,
  primary key (account_id, id)
);
create sequence quaymarket.made_id start 50001;

-- What happened, with the orders that are visible on the present day. placement: 0 top, 1 rest, 2 pages.
create table quaymarket.term_day (
  account_id  text not null references quaymarket.account on delete cascade,
  day         date not null,
  target_id   text not null,
  term        text not null,
  impressions integer not null,
  clicks      integer not null,
  orders      integer not null,
  units       integer not null,
  spend       bigint not null,
  sales       bigint not null
);
create index term_day_by_day on quaymarket.term_day (account_id, day);

create table quaymarket.target_day (
  account_id  text not null references quaymarket.account on delete cascade,
  day         date not null,
  target_id   text not null,
  placement   smallint not null,
  impressions integer not null,
  clicks      integer not null,
  orders      integer not null,
  units       integer not null,
  spend       bigint not null,
  sales       bigint not null
);
create index target_day_by_day on quaymarket.target_day (account_id, day);

create table quaymarket.campaign_hour (
  account_id  text not null references quaymarket.account on delete cascade,
  day         date not null,
  campaign_id text not null,
  hour        smallint not null,
  impressions integer not null,
  clicks      integer not null,
  orders      integer not null,
  units       integer not null,
  spend       bigint not null,
  sales       bigint not null
);
create index campaign_hour_by_day on quaymarket.campaign_hour (account_id, day);

create table quaymarket.product_day (
  account_id  text not null references quaymarket.account on delete cascade,
  day         date not null,
  product_id  text not null,
  orders      integer not null,
  units       integer not null,
  sales       bigint not null,
  refunded_units integer not null,
  refunded_sales bigint not null
);
create index product_day_by_day on quaymarket.product_day (account_id, day);

create table quaymarket.rank_day (
  account_id  text not null references quaymarket.account on delete cascade,
  day         date not null,
  product_id  text not null,
  term        text not null,
  rank        integer not null,
  weekly_searches integer not null
);
create index rank_day_by_day on quaymarket.rank_day (account_id, day);

-- Orders that became visible, or will, on a later day than that of their click. Kept, so that a report can be made as it
-- looked on an earlier day.
create table quaymarket.late_order (
  account_id  text not null references quaymarket.account on delete cascade,
  day         date not null,
  arrives     date not null,
  target_id   text not null,
  term        text not null,
  placement   smallint not null,
  campaign_id text not null,
  hour        smallint not null,
  units       integer not null,
  sales       bigint not null
);
create index late_order_by_arrival on quaymarket.late_order (account_id, arrives);

-- Answers by idempotency key: a batch that comes again is answered, not carried out again.
create table quaymarket.batch (
  account_id      text not null references quaymarket.account on delete cascade,
  idempotency_key text not null,
  answers         jsonb not null,
  received_at     timestamptz not null default now(),
  primary key (account_id, idempotency_key)
);
