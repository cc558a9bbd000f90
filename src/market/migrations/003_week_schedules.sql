-- A schedule is a whole week of percentages by name, so that it is made, changed and ended in one act.
drop table quaymarket.schedule;
create table quaymarket.schedule (
  account_id  text not null references quaymarket.account on delete cascade,
  id          text not null,
  campaign_id text not null,
  name        text not null,
  week        jsonb not null,
  state       text not null default 'enabled',
  changed     bigint not null default 0,
  primary key (account_id, id)
);
