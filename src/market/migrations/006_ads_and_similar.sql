-- What an ad shows in place of its product's own, and the pictures that were given to the market for that.
alter table quaymarket.ad add column titles jsonb not null default '[]';
alter table quaymarket.ad add column pictures jsonb not null default '[]';
create table quaymarket.picture (
  account_id text not null references quaymarket.account on delete cascade,
  -- Made of its bytes: the same picture given twice is one.
  id         text not null,
  type       text not null,
  bytes      bytea not null,
  primary key (account_id, id)
);
-- Whether a campaign also stands in searches for similar categories.
alter table quaymarket.campaign add column similar_on text not null default 'on';
