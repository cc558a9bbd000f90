-- The first day on which any place of the account had the term.
alter table mowing.term add column first_day date;
update mowing.term t set first_day = f.day
from (select account_id, term_id, min(day) as day from mowing.term_day group by account_id, term_id) f
where f.account_id = t.account_id and f.term_id = t.term_id;

-- Words by which an account tells its terms apart: brands, and what is never wanted.
create table mowing.list_word (
  account_id   integer not null references mowing.account on delete cascade,
  list         text not null check (list in ('own', 'rival', 'unwanted')),
  place        integer not null,
  word         text not null,
  primary key (account_id, list, place)
);
