-- What a part of the account (0: all of it) may spend a day or a month, until it is set anew.
create table mowing.spend_plan (
  account_id   integer not null references mowing.account on delete cascade,
  scope        text not null check (scope in ('account', 'line', 'product', 'campaign')),
  scope_id     integer not null,
  span         text not null check (span in ('day', 'month')),
  spend_micros bigint not null check (spend_micros > 0),
  by_caller    text not null default mowing.caller(),
  primary key (account_id, scope, scope_id, span)
);
