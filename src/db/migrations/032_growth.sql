-- Which campaigns a growth plan (a rule whose work is growth) has, and the stage that each is in: what was added last counts.
create table mowing.growth_step (
  account_id  integer not null references mowing.account on delete cascade,
  step_id     integer generated always as identity,
  rule_id     integer not null,
  campaign_id integer not null,
  -- The stage from this day on; null: given back.
  stage       text check (stage in ('find', 'tune', 'grow')),
  day         date not null,
  -- Whether the plan made it; one that was taken in came with a budget (micros), and gets it back.
  is_made     boolean not null,
  -- The part of the plan that one it made is for (auto, broad, exact …); null: taken in.
  part        text,
  budget      bigint,
  -- The night that moved it; null: by hand.
  night_id    integer,
  reason      text not null,
  at          timestamptz not null default now(),
  by_caller   text not null default mowing.caller(),
  primary key (account_id, step_id),
  foreign key (account_id, rule_id) references mowing.rule on delete cascade
);
create index growth_step_of_rule on mowing.growth_step (account_id, rule_id, campaign_id, step_id);

-- A rule as it was last played on markets like what it works in, as text; what that came to, and when.
alter table mowing.rule add column played text;
alter table mowing.rule add column played_told jsonb;
alter table mowing.rule add column played_at timestamptz;

-- Where the summary of a night is sent to: {"url", "secret"}; the last night that was told; and what came of the last try.
alter table mowing.account add column night_hook jsonb;
alter table mowing.account add column night_told integer not null default 0;
alter table mowing.account add column night_hook_said text;
