-- Facts added up by week, from Monday on: a month is four weeks and a few days. Written in the transaction that writes the days, and
-- never by anybody else. clicked_days: on how many days a row had a click.
create table mowing.term_week (
  account_id   integer not null,
  week         date not null,
  target_id    integer not null,
  term_id      integer not null,
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  clicked_days integer not null
) partition by range (week);
-- They are only ever written and read by the week: to look every row up by its whole key would double what an import takes.
create index term_week_by_week on mowing.term_week (account_id, week);

-- Terms that were clicked, one of nine: the others are left out where there are many.
create index term_week_clicked on mowing.term_week (account_id, week, target_id, term_id) where clicks > 0;

create table mowing.target_week (
  account_id   integer not null,
  week         date not null,
  target_id    integer not null,
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  clicked_days integer not null,
  primary key (account_id, week, target_id)
) partition by range (week);

create table mowing.placement_week (
  account_id   integer not null,
  week         date not null,
  campaign_id  integer not null,
  placement    integer not null,
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  clicked_days integer not null,
  primary key (account_id, week, campaign_id, placement)
) partition by range (week);

create table mowing.campaign_hour_week (
  account_id   integer not null,
  week         date not null,
  campaign_id  integer not null,
  hour         integer not null,
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  clicked_days integer not null,
  primary key (account_id, week, campaign_id, hour)
) partition by range (week);

create table mowing.product_week (
  account_id   integer not null,
  week         date not null,
  product_id   integer not null,
  orders       integer not null,
  units        integer not null,
  sales_micros bigint not null,
  refunded_units integer not null,
  refunded_micros bigint not null,
  primary key (account_id, week, product_id)
) partition by range (week);

-- What is here already.
select mowing.ensure_partitions('term_week', (select array_agg(distinct date_trunc('week', day)::date) from mowing.term_day));
select mowing.ensure_partitions('target_week', (select array_agg(distinct date_trunc('week', day)::date) from mowing.target_day));
select mowing.ensure_partitions('placement_week', (select array_agg(distinct date_trunc('week', day)::date) from mowing.placement_day));
select mowing.ensure_partitions('campaign_hour_week', (select array_agg(distinct date_trunc('week', day)::date) from mowing.campaign_hour));
select mowing.ensure_partitions('product_week', (select array_agg(distinct date_trunc('week', day)::date) from mowing.product_day));
insert into mowing.term_week
  select account_id, date_trunc('week', day)::date, target_id, term_id, sum(impressions), sum(clicks), sum(orders), sum(units), sum(spend_micros),
    sum(sales_micros), count(*) filter (where clicks > 0) from mowing.term_day group by 1, 2, 3, 4;
insert into mowing.target_week
  select account_id, date_trunc('week', day)::date, target_id, sum(impressions), sum(clicks), sum(orders), sum(units), sum(spend_micros),
    sum(sales_micros), count(*) filter (where clicks > 0) from mowing.target_day group by 1, 2, 3;
insert into mowing.placement_week
  select account_id, date_trunc('week', day)::date, campaign_id, placement, sum(impressions), sum(clicks), sum(orders), sum(units), sum(spend_micros),
    sum(sales_micros), count(*) filter (where clicks > 0) from mowing.placement_day group by 1, 2, 3, 4;
insert into mowing.campaign_hour_week
  select account_id, date_trunc('week', day)::date, campaign_id, hour, sum(impressions), sum(clicks), sum(orders), sum(units), sum(spend_micros),
    sum(sales_micros), count(*) filter (where clicks > 0) from mowing.campaign_hour group by 1, 2, 3, 4;
insert into mowing.product_week
  select account_id, date_trunc('week', day)::date, product_id, sum(orders), sum(units), sum(sales_micros), sum(refunded_units), sum(refunded_micros)
  from mowing.product_day group by 1, 2, 3;

create or replace function mowing.delete_account(id integer) returns void language sql as $$
  delete from mowing.term_day where account_id = id;
  delete from mowing.target_day where account_id = id;
  delete from mowing.placement_day where account_id = id;
  delete from mowing.campaign_hour where account_id = id;
  delete from mowing.product_day where account_id = id;
  delete from mowing.rank_day where account_id = id;
  delete from mowing.term_week where account_id = id;
  delete from mowing.target_week where account_id = id;
  delete from mowing.placement_week where account_id = id;
  delete from mowing.campaign_hour_week where account_id = id;
  delete from mowing.product_week where account_id = id;
  delete from mowing.term where account_id = id;
  delete from mowing.change where account_id = id;
  delete from mowing.ad where account_id = id;
  update mowing.ad_group set product_id = null where account_id = id;
  delete from mowing.product where account_id = id;
  delete from mowing.account where account_id = id;
$$;

-- Raised in every transaction that writes facts: what was read of them before is told from what is read after.
alter table mowing.account add column figures bigint not null default 0;
