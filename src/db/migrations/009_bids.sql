-- How far a campaign's bids are held down because it runs dry: what its present bids were worked out with. 1: not at all.
alter table mowing.campaign add column held double precision not null default 1 check (held > 0 and held <= 1);

-- Targets whose bid is not to be proposed for a while: left as they are, put off until a day, or a loss that is accepted
-- (because of the rank that it brings, say) with a note.
create table mowing.target_aside (
  account_id   integer not null references mowing.account on delete cascade,
  target_id    integer not null,
  verdict      text not null check (verdict in ('left', 'later', 'accepted-loss')),
  until_day    date not null,
  note         text not null default '',
  decided_at   timestamptz not null default now(),
  primary key (account_id, target_id)
);
