-- The account's day on which a change was answered: how old a change is, is counted in the account's days.
alter table mowing.change add column answered_on date;
update mowing.change c set answered_on = coalesce(a.market_day, c.answered_at::date)
from mowing.account a where a.account_id = c.account_id and c.answered_at is not null;

-- Stacks of conditions kept by name.
create table mowing.swath (
  account_id   integer not null references mowing.account on delete cascade,
  swath_id     integer generated always as identity,
  name         text not null check (name <> ''),
  lens         text not null,
  -- Groups of conditions as in a link, and the order of the rows.
  conditions   text[] not null,
  sort         text not null default '',
  made_at      timestamptz not null default now(),
  primary key (account_id, swath_id),
  unique (account_id, name)
);

-- What the specialist wrote down about something: a target, a campaign, a term in an ad group …
create table mowing.note (
  account_id   integer not null references mowing.account on delete cascade,
  note_id      integer generated always as identity,
  -- What it is about, as in a row's key: "target 12", "term 5 12".
  subject      text not null check (subject <> ''),
  text         text not null check (text <> ''),
  -- The account's day on which it was written.
  day          date not null,
  made_at      timestamptz not null default now(),
  primary key (account_id, note_id)
);
create index note_by_subject on mowing.note (account_id, subject);

-- What is to be reached in a month.
create table mowing.month_goal (
  account_id   integer not null references mowing.account on delete cascade,
  month        date not null check (date_trunc('month', month) = month),
  sales_micros bigint check (sales_micros > 0),
  spend_micros bigint check (spend_micros > 0),
  primary key (account_id, month)
);
