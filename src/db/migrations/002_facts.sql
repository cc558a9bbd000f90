-- What happened, day by day. Partitioned by month; money in millionths; ratios are never stored.
-- Written by the hundred thousand and without foreign keys: checking them row by row would take longer than writing the
-- rows. delete_account() keeps them in step.

-- Search terms: a dictionary of their texts.
create table mowing.term (
  account_id   integer not null,
  term_id      integer generated always as identity,
  text         text not null,
  primary key (account_id, term_id),
  unique (account_id, text)
);

create table mowing.term_day (
  account_id   integer not null,
  day          date not null,
  target_id    integer not null,
  term_id      integer not null,
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  primary key (account_id, day, target_id, term_id)
) partition by range (day);

create table mowing.target_day (
  account_id   integer not null,
  day          date not null,
  target_id    integer not null,
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  primary key (account_id, day, target_id)
) partition by range (day);

-- placement: 0 top of search, 1 rest of search, 2 product pages.
create table mowing.placement_day (
  account_id   integer not null,
  day          date not null,
  campaign_id  integer not null,
  placement    integer not null check (placement between 0 and 2),
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  primary key (account_id, day, campaign_id, placement)
) partition by range (day);

create table mowing.campaign_hour (
  account_id   integer not null,
  day          date not null,
  campaign_id  integer not null,
  hour         integer not null check (hour between 0 and 23),
  impressions  integer not null,
  clicks       integer not null,
  orders       integer not null,
  units        integer not null,
  spend_micros bigint not null,
  sales_micros bigint not null,
  primary key (account_id, day, campaign_id, hour)
) partition by range (day);

-- All sales of a product, with ads or without, on the day of purchase.
create table mowing.product_day (
  account_id   integer not null,
  day          date not null,
  product_id   integer not null,
  orders       integer not null,
  units        integer not null,
  sales_micros bigint not null,
  refunded_units integer not null,
  refunded_micros bigint not null,
  primary key (account_id, day, product_id)
) partition by range (day);

create table mowing.rank_day (
  account_id   integer not null,
  day          date not null,
  product_id   integer not null,
  term_id      integer not null,
  organic_rank integer not null,
  weekly_searches integer not null,
  primary key (account_id, day, product_id, term_id)
) partition by range (day);

-- Makes the monthly partitions of a fact table for the given days. A table that is attached locks out neither readers
-- nor writers, as one made in its place would. Only who has to make one waits for another who does.
create function mowing.ensure_partitions(facts text, days date[]) returns void language plpgsql as $$
declare
  month date;
  name text;
begin
  for month in select distinct date_trunc('month', d)::date from unnest(days) as d order by 1 loop
    name := facts || '_' || to_char(month, 'YYYY_MM');
    if to_regclass('mowing.' || name) is null then
      perform pg_advisory_xact_lock(hashtext('mowing partitions'));
      if to_regclass('mowing.' || name) is null then
        execute format('create table mowing.%I (like mowing.%I including all)', name, facts);
        execute format('alter table mowing.%I attach partition mowing.%I for values from (%L) to (%L)',
          facts, name, month, (month + interval '1 month')::date);
      end if;
    end if;
  end loop;
end $$;

-- How many orders of a day were visible at some age (days after the day): from this the completion of late orders is
-- learnt. product_id 0 stands for the whole account.
create table mowing.order_snapshot (
  account_id   integer not null references mowing.account on delete cascade,
  day          date not null,
  age          smallint not null check (age >= 0),
  product_id   integer not null,
  clicks       integer not null,
  orders       integer not null,
  primary key (account_id, day, age, product_id)
);
