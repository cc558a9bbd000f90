-- Where sold terms of an ad group move to: its words and its item codes apart.
create table mowing.route (
  account_id   integer not null references mowing.account on delete cascade,
  source_id    integer not null,
  takes        text not null check (takes in ('words', 'items')),
  home_id      integer not null check (home_id <> source_id),
  match        text not null check (match in ('exact', 'phrase', 'broad')),
  -- Where a moved term is made a negative.
  block        text not null check (block in ('nowhere', 'ad group', 'campaign', 'research')),
  primary key (account_id, source_id, takes, home_id)
);
