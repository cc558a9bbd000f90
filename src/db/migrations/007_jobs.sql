-- Long work in the background. Taken by whichever process is free, with FOR UPDATE SKIP LOCKED.
create table mowing.job (
  account_id   integer not null references mowing.account on delete cascade,
  job_id       bigint generated always as identity,
  kind         text not null check (kind in ('sync', 'advance')),
  -- What is asked for: days to let pass.
  input        jsonb not null default '{}',
  state        text not null default 'waiting' check (state in ('waiting', 'running', 'done', 'failed')),
  -- How far it is: what it is at, steps done of all.
  doing        text not null default '',
  done         integer not null default 0,
  total        integer not null default 0,
  tries        integer not null default 0,
  next_try_at  timestamptz not null default now(),
  message      text not null default '',
  asked_at     timestamptz not null default now(),
  started_at   timestamptz,
  touched_at   timestamptz not null default now(),
  finished_at  timestamptz,
  primary key (account_id, job_id)
);
create unique index job_by_id on mowing.job (job_id);
-- One job of a kind at a time for an account.
create unique index job_pending_once on mowing.job (account_id, kind) where state in ('waiting', 'running');

-- Which days of which report were taken over whole, and as of which day of the market.
create table mowing.sync_day (
  account_id   integer not null references mowing.account on delete cascade,
  kind         text not null,
  day          date not null,
  as_of        date not null,
  rows         integer not null,
  synced_at    timestamptz not null default now(),
  primary key (account_id, kind, day)
);
