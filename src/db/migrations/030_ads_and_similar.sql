-- Whether a campaign also stands in searches for similar categories; null: the market does not tell.
alter table mowing.campaign add column similar_on text check (similar_on in ('on', 'off'));
-- What an ad shows in place of its product's own title and picture, as core/changes writes it; null: the product's own.
alter table mowing.ad add column parts text;

-- Pictures of ads. The market knows each by the same id, which is made of its bytes.
create table mowing.ad_picture (
  account_id  integer not null references mowing.account on delete cascade,
  picture_id  text not null,
  name        text not null,
  type        text not null,
  width       integer not null,
  height      integer not null,
  bytes       bytea not null,
  added_at    timestamptz not null default now(),
  -- Taken out of what can be chosen; it can come back.
  removed_at  timestamptz,
  primary key (account_id, picture_id)
);
