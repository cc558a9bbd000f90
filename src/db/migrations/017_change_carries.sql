-- What a change carries for when it is accepted, out of the unchecked figures: how far its campaign's bids are held, and the list of
-- negatives it comes from. What was no such thing is dropped: it would have broken the lot at its answer.
alter table mowing.change add column held double precision check (held > 0 and held <= 1);
alter table mowing.change add column list_id integer check (list_id > 0);

update mowing.change set held = (figures->>'held')::double precision
where jsonb_typeof(figures->'held') = 'number' and (figures->>'held')::numeric > 0 and (figures->>'held')::numeric <= 1;
update mowing.change set list_id = (figures->>'listId')::integer
where jsonb_typeof(figures->'listId') = 'number' and (figures->>'listId')::numeric between 1 and 2147483647
  and (figures->>'listId')::numeric % 1 = 0;
update mowing.change set figures = figures - 'held' - 'listId' where figures ?| array['held', 'listId'];
