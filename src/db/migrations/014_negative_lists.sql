-- Named lists of negatives that are kept over many campaigns. What a list put where is told by the changes that name it.
create table mowing.negative_list (
  account_id   integer not null references mowing.account on delete cascade,
  list_id      integer generated always as identity,
  name         text not null,
  primary key (account_id, list_id),
  unique (account_id, name)
);
create table mowing.negative_list_term (
  account_id   integer not null,
  list_id      integer not null,
  place        integer not null,
  match        text not null check (match in ('exact', 'phrase', 'item')),
  expression   text not null,
  primary key (account_id, list_id, place),
  foreign key (account_id, list_id) references mowing.negative_list on delete cascade
);
create table mowing.negative_list_campaign (
  account_id   integer not null,
  list_id      integer not null,
  campaign_id  integer not null,
  primary key (account_id, list_id, campaign_id),
  foreign key (account_id, list_id) references mowing.negative_list on delete cascade
);
