-- What a route asks of a term, and how the first bid in its home is found.
alter table mowing.route
  -- Null: what the step asks of every term.
  add column asks jsonb,
  add column start jsonb not null default '{"by": "worth", "amount": null, "cap": 1.3}';
alter table mowing.route alter column start drop default;
-- Of the routes of an ad group the first that takes a term counts.
alter table mowing.route add column place integer not null default 0;
