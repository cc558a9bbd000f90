-- Of which days an account has rows, by kind of report, and what they come to: a file that says the same again is not compared row by row.
-- Written in the transaction that writes the rows. Null: what they come to is not known, and they are compared.
create table mowing.kept_day (
  account_id integer not null references mowing.account on delete cascade,
  kind       text not null,
  day        date not null,
  row_count  integer,
  hash       bigint,
  primary key (account_id, kind, day)
);
insert into mowing.kept_day (account_id, kind, day)
  select distinct account_id, 'terms', day from mowing.term_day
  union all select distinct account_id, 'targets', day from mowing.target_day
  union all select distinct account_id, 'placements', day from mowing.placement_day
  union all select distinct account_id, 'hours', day from mowing.campaign_hour
  union all select distinct account_id, 'sales', day from mowing.product_day
  union all select distinct account_id, 'ranks', day from mowing.rank_day;

-- An entry of a B-tree for every row took longer to write than the row. Rows of an account's day lie together, for an import writes them so:
-- ranges of pages tell where. That no row is there twice, an import sees to itself; imports into one account follow each other.
alter table mowing.term_day drop constraint term_day_pkey;
create index term_day_by_day on mowing.term_day using brin (account_id, day) with (pages_per_range = 32, autosummarize = on);
-- The rows of a week are written with those that were clicked first: pages without a click are passed over where only clicked terms are read.
alter table mowing.term_week drop constraint if exists term_week_pkey;
drop index if exists mowing.term_week_by_week;
drop index mowing.term_week_clicked;
create index term_week_by_week on mowing.term_week using brin (account_id, week, clicks) with (pages_per_range = 32, autosummarize = on);

-- The built-in sum of a bigint is a numeric, slow to make and to read. This one is exact too: it fails where it would overflow.
create aggregate mowing.sum_micros(bigint) (sfunc = int8pl, stype = bigint, combinefunc = int8pl, parallel = safe);
