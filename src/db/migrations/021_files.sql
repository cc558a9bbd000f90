-- What a file had besides: columns that were not read, its first lines, and which of them holds the headings.
alter table mowing.import add column unread jsonb not null default '[]';
alter table mowing.import add column first_lines jsonb not null default '[]';
alter table mowing.import add column heading_line integer;

-- Where the rows of each kind of report reach, kept with the account: looking for it would mean a search in every month.
create table mowing.coverage (
  account_id   integer not null references mowing.account on delete cascade,
  kind         text not null,
  first_day    date not null,
  last_day     date not null,
  primary key (account_id, kind)
);
insert into mowing.coverage select account_id, 'terms', min(day), max(day) from mowing.term_day group by 1;
insert into mowing.coverage select account_id, 'targets', min(day), max(day) from mowing.target_day group by 1;
insert into mowing.coverage select account_id, 'placements', min(day), max(day) from mowing.placement_day group by 1;
insert into mowing.coverage select account_id, 'hours', min(day), max(day) from mowing.campaign_hour group by 1;
insert into mowing.coverage select account_id, 'sales', min(day), max(day) from mowing.product_day group by 1;
insert into mowing.coverage select account_id, 'ranks', min(day), max(day) from mowing.rank_day group by 1;

-- Figures that came summed over several days: their rows stand on one day, the middle one.
create table mowing.summed (
  account_id   integer not null references mowing.account on delete cascade,
  kind         text not null,
  first_day    date not null,
  last_day     date not null check (last_day > first_day),
  stands_on    date not null,
  primary key (account_id, kind, first_day)
);
