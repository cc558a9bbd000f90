-- What is put aside, whatever it is: one table, keyed by the queue it is left out of and the subject in words ("target 12",
-- "ad-group-term 12 5"). Steps that go over the same rows share a queue.
create table mowing.aside (
  account_id   integer not null references mowing.account on delete cascade,
  queue        text not null,
  subject      text not null,
  verdict      text not null check (verdict in ('left', 'later', 'accepted-loss')),
  until_day    date not null,
  note         text not null default '',
  decided_at   timestamptz not null default now(),
  primary key (account_id, queue, subject)
);
insert into mowing.aside (account_id, queue, subject, verdict, until_day, decided_at)
select account_id, step, 'ad-group-term ' || ad_group_id || ' ' || term_id, verdict, until_day, decided_at from mowing.put_aside;
insert into mowing.aside (account_id, queue, subject, verdict, until_day, note, decided_at)
select account_id, 'bids', 'target ' || target_id, verdict, until_day, note, decided_at from mowing.target_aside;
drop table mowing.put_aside;
drop table mowing.target_aside;
