comment on column mowing.rank_day.organic_rank is 'Place in the unpaid results, 1 the first; 0: beyond the last page.';

-- Losses that are accepted for a time: of a target ("target 12"), a product's term ("product-term 4 812") or a campaign ("campaign 3"). They
-- are kept when they have ended, so that what they cost can be told.
create table mowing.accepted_loss (
  account_id   integer not null references mowing.account on delete cascade,
  subject      text not null,
  note         text not null default '',
  -- The account's day on which it was accepted, and the first one on which it no longer holds.
  from_day     date not null,
  until_day    date not null,
  -- A loss against the target ACOS above this in 30 days ends the acceptance; micros, null: whatever it is.
  most_micros  bigint check (most_micros > 0),
  -- The account's day on which it was ended by hand.
  ended_on     date,
  decided_at   timestamptz not null default now(),
  by_caller    text not null default mowing.caller(),
  primary key (account_id, subject)
);
insert into mowing.accepted_loss (account_id, subject, note, from_day, until_day, decided_at, by_caller)
select account_id, subject, note, decided_at::date, until_day, decided_at, by_caller from mowing.aside where verdict = 'accepted-loss' and queue = 'bids';
delete from mowing.aside where verdict = 'accepted-loss';
alter table mowing.aside drop constraint aside_verdict_check;
alter table mowing.aside add constraint aside_verdict_check check (verdict in ('left', 'later'));
