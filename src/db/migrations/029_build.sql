-- What categories and brands were refined against, plans that campaigns are made from, and products as they stand on the market.
alter table mowing.target add column refined_against jsonb;
alter table mowing.product add column rating double precision check (rating between 0 and 5);
alter table mowing.product add column stock integer check (stock >= 0);
alter table mowing.product add column discount double precision check (discount >= 0 and discount < 1);
-- How the names of the account's campaigns are made; null: as usual.
alter table mowing.account add column name_pattern text;

create table mowing.build_plan (
  account_id  integer not null references mowing.account on delete cascade,
  plan_id     integer generated always as identity,
  plan        jsonb not null,
  made_at     timestamptz not null default now(),
  changed_at  timestamptz not null default now(),
  -- Thrown away, and can be taken back.
  thrown_at   timestamptz,
  by_caller   text not null default mowing.caller(),
  primary key (account_id, plan_id)
);
create index change_by_plan on mowing.change (account_id, ((figures->>'plan')::integer)) where figures ? 'plan';

-- The market told refinements as texts in JSON.
update mowing.target set refine = (refine #>> '{}')::jsonb where jsonb_typeof(refine) = 'string';

-- Where a market takes it, an ad group has a part of its campaign's budget, and days of its own.
alter table mowing.ad_group add column budget_micros bigint check (budget_micros >= 0);
alter table mowing.ad_group add column starts_on date;
alter table mowing.ad_group add column ends_on date;
