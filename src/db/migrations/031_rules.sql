-- What is done by night without being asked each time, and what each night did.
create table mowing.rule (
  account_id  integer not null references mowing.account on delete cascade,
  rule_id     integer generated always as identity,
  -- In the order in which they count, among those of one nearness.
  place       integer not null,
  rule        jsonb not null,
  is_on       boolean not null default false,
  -- Why it stopped itself; null: it did not.
  stopped_why text,
  -- It may send by itself once it was tried as it stands: the rule that was tried, as text.
  tried       text,
  made_at     timestamptz not null default now(),
  removed_at  timestamptz,
  by_caller   text not null default mowing.caller(),
  primary key (account_id, rule_id)
);
create table mowing.rule_night (
  account_id  integer not null references mowing.account on delete cascade,
  night_id    integer generated always as identity,
  rule_id     integer not null,
  -- The account's day that the night ends on: each night of a rule once.
  day         date not null,
  -- planned: what it does stands in the tray, and is to be sent; done; skipped: it did not look, and says why.
  state       text not null check (state in ('planned', 'done', 'skipped')),
  sends       boolean not null,
  looked      integer not null default 0,
  made        integer not null default 0,
  -- More expected spend and sales a month, micros.
  spend       bigint not null default 0,
  sales       bigint not null default 0,
  -- Why what was wanted was left: [{"why", "count", "some", "rule"}].
  left_out    jsonb not null default '[]',
  bale_id     integer,
  why         text,
  began_at    timestamptz not null default now(),
  ended_at    timestamptz,
  primary key (account_id, night_id),
  unique (account_id, rule_id, day),
  foreign key (account_id, rule_id) references mowing.rule on delete cascade
);
-- What holds for all rules of an account; null: as usual.
alter table mowing.account add column rule_guards jsonb;
create index change_by_night on mowing.change (account_id, ((figures->>'night')::integer)) where figures ? 'night';
