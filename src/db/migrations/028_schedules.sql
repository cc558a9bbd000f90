-- A campaign's schedule is a whole week of percentages, as core/schedules writes it; the market lists it as one.
drop table mowing.schedule;
create table mowing.schedule (
  account_id   integer not null references mowing.account on delete cascade,
  schedule_id  integer generated always as identity,
  campaign_id  integer not null,
  market_id    text,
  name         text not null,
  week         text not null,
  state        text not null default 'enabled' check (state in ('enabled', 'archived')),
  primary key (account_id, schedule_id),
  unique (account_id, market_id),
  foreign key (account_id, campaign_id) references mowing.campaign on delete cascade
);
create index schedule_by_campaign on mowing.schedule (account_id, campaign_id) where state = 'enabled';
alter table mowing.change add column made_schedule_id integer;

-- Weeks that are kept by name, whether a campaign follows them or not.
create table mowing.named_week (
  account_id integer not null references mowing.account on delete cascade,
  name       text not null check (name <> ''),
  week       text not null,
  by_caller  text not null default mowing.caller(),
  kept_at    timestamptz not null default now(),
  primary key (account_id, name)
);

-- Changes that are on in some weeks and off in others, to see what they do. `made` is the change of the account that stands for each.
create table mowing.week_trial (
  account_id  integer not null references mowing.account on delete cascade,
  trial_id    integer generated always as identity,
  name        text not null,
  campaigns   integer[] not null,
  changes     jsonb not null,
  first_day   date not null,
  weeks       integer not null check (weeks between 4 and 52),
  -- By how much organic ranks may fall (share of the place) and total sales (share) before it is stopped.
  rank_bound  double precision not null,
  sales_bound double precision not null,
  state       text not null default 'running' check (state in ('running', 'ended', 'stopped')),
  -- Why it was stopped, and what it came to; null while it runs.
  why         text,
  verdict     jsonb,
  ended_on    date,
  by_caller   text not null default mowing.caller(),
  begun_at    timestamptz not null default now(),
  primary key (account_id, trial_id)
);
create table mowing.week_trial_switch (
  account_id integer not null,
  trial_id   integer not null,
  -- Weeks from the first day, and what it was switched to.
  week       integer not null,
  is_on      boolean not null,
  day        date not null,
  change_ids bigint[] not null,
  primary key (account_id, trial_id, week),
  foreign key (account_id, trial_id) references mowing.week_trial on delete cascade
);
