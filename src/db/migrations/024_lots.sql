-- What is handed to the market at once: written down with its key before the market is asked, so that a second try asks for exactly the
-- same, and no transaction waits for a market.
create table mowing.lot (
  account_id  integer not null references mowing.account on delete cascade,
  bale_id     bigint not null,
  lot_no      integer not null,
  lot_key     text not null,
  -- As the market is asked: each change with its reference.
  asked       jsonb not null,
  is_answered boolean not null default false,
  primary key (account_id, bale_id, lot_no),
  foreign key (account_id, bale_id) references mowing.bale on delete cascade
);

-- Programs that work on this database, each with a number. Whoever is at something is named by it: one that ended holds its lock no more.
create sequence mowing.program_no as integer cycle;
alter table mowing.bale add column program_no integer;
alter table mowing.import add column program_no integer;
alter table mowing.job add column program_no integer;
