-- Which parts a report has, in their order, each with a note on top; and on which weekday (0 Monday) one is made by itself.
create table mowing.report_template (
  account_id   integer not null references mowing.account on delete cascade,
  template_id  integer generated always as identity,
  name         text not null,
  -- [{"part", "note"}]
  parts        jsonb not null,
  -- 'A4' or 'Letter'.
  paper        text not null check (paper in ('A4', 'Letter')),
  -- Days that it is of.
  days         integer not null check (days between 1 and 92),
  weekday      integer check (weekday between 0 and 6),
  -- The account's day on which one was last made by itself.
  made_on      date,
  by_caller    text not null default mowing.caller(),
  primary key (account_id, template_id),
  unique (account_id, name)
);

-- Reports as they were made: what they told stays as it was told.
create table mowing.report (
  account_id   integer not null references mowing.account on delete cascade,
  report_id    integer generated always as identity,
  title        text not null,
  from_day     date not null,
  to_day       date not null,
  -- The account's day on which it was made.
  made_on      date not null,
  made_at      timestamptz not null default now(),
  -- See the contract of reports.
  content      jsonb not null,
  template_id  integer,
  by_caller    text not null default mowing.caller(),
  primary key (account_id, report_id)
);

-- Links that show one report to whoever has them, until a day; the secret signs them.
create table mowing.report_link (
  account_id   integer not null,
  link_id      integer generated always as identity,
  report_id    integer not null,
  secret       bytea not null,
  until_day    date not null,
  by_caller    text not null default mowing.caller(),
  primary key (account_id, link_id),
  foreign key (account_id, report_id) references mowing.report on delete cascade
);
create index report_link_by_id on mowing.report_link (link_id);
