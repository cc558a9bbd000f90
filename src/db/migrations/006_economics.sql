-- What a product costs to sell. Null: not known (which is not zero).
create table mowing.product_cost (
  account_id   integer not null,
  product_id   integer not null,
  -- The price sold at; null: the market's.
  price_micros bigint check (price_micros > 0),
  goods_micros bigint check (goods_micros >= 0),
  fees_micros  bigint check (fees_micros >= 0),
  shipping_micros bigint check (shipping_micros >= 0),
  -- Share of units that come back, and what a returned unit still brings.
  refund_rate  double precision check (refund_rate between 0 and 1),
  recovered_micros bigint check (recovered_micros >= 0),
  changed_at   timestamptz not null default now(),
  primary key (account_id, product_id),
  foreign key (account_id, product_id) references mowing.product on delete cascade
);

-- Targets by scope; the nearest one counts. As ACOS, or as the profit margin that is to be left after ads; a value, or a
-- range from low to high. What stands for the whole account and is an ACOS is account.target_acos.
create table mowing.goal (
  account_id   integer not null references mowing.account on delete cascade,
  scope        text not null check (scope in ('account', 'line', 'product', 'campaign', 'ad-group')),
  scope_id     integer not null,
  kind         text not null check (kind in ('acos', 'margin')),
  low          double precision not null check (low > -1 and low <= 10),
  high         double precision not null check (high >= low and high <= 10),
  changed_at   timestamptz not null default now(),
  primary key (account_id, scope, scope_id)
);
