-- Terms that were pinned to the core list of a product: they are looked after whether they sell or not.
create table mowing.core_term (
  account_id   integer not null references mowing.account on delete cascade,
  product_id   integer not null,
  -- As matching compares it, and as it was written.
  form         text not null check (form <> ''),
  term         text not null check (term <> ''),
  pinned_at    timestamptz not null default now(),
  primary key (account_id, product_id, form)
);
