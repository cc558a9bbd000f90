-- What is to be changed, what was sent, what was answered. Rows are never overwritten with another change.
create table mowing.bale (
  account_id      integer not null references mowing.account on delete cascade,
  bale_id         bigint generated always as identity,
  idempotency_key uuid not null unique,
  state           text not null check (state in ('sending', 'done')),
  -- Why the market has not answered yet, in words; empty when it has.
  trouble         text not null default '',
  tries           integer not null default 0,
  sent_at         timestamptz not null default now(),
  finished_at     timestamptz,
  primary key (account_id, bale_id)
);

create table mowing.change (
  account_id   integer not null references mowing.account on delete cascade,
  change_id    bigint generated always as identity,
  kind         text not null,
  change       jsonb not null,
  -- Equal keys would do the same thing to the same place.
  change_key   text not null,
  state        text not null default 'staged'
               check (state in ('staged', 'sending', 'accepted', 'refused', 'withdrawn')),
  -- Sent only after this change was accepted.
  after_change_id bigint,
  undoes_change_id bigint,
  reason       text not null,
  -- The figures it was decided on, and the effect that was expected, micros a month.
  figures      jsonb not null default '{}',
  effect_spend bigint not null default 0,
  effect_sales bigint not null default 0,
  bale_id      bigint,
  answer_code  text,
  answer       text,
  made_target_id integer,
  made_negative_id integer,
  staged_at    timestamptz not null default now(),
  answered_at  timestamptz,
  primary key (account_id, change_id),
  foreign key (account_id, bale_id) references mowing.bale
);
-- The same thing cannot be staged or under way twice.
create unique index change_pending_once on mowing.change (account_id, change_key) where state in ('staged', 'sending');
create index change_by_bale on mowing.change (account_id, bale_id);

-- Proposals that the specialist put aside, until a day.
create table mowing.put_aside (
  account_id   integer not null references mowing.account on delete cascade,
  step         text not null check (step in ('harvest', 'negatives')),
  ad_group_id  integer not null,
  term_id      integer not null,
  verdict      text not null check (verdict in ('left', 'later')),
  until_day    date not null,
  decided_at   timestamptz not null default now(),
  primary key (account_id, step, ad_group_id, term_id)
);
