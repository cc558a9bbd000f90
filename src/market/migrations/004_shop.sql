-- Products as shoppers see them: what they are rated, how many are at hand, and how much is off the usual price.
alter table quaymarket.product add column rating double precision;
alter table quaymarket.product add column stock integer;
alter table quaymarket.product add column discount double precision not null default 0;

-- What was kept as a text in JSON becomes what it says.
update quaymarket.target set refine = (refine #>> '{}')::jsonb where jsonb_typeof(refine) = 'string';
update quaymarket.schedule set week = (week #>> '{}')::jsonb where jsonb_typeof(week) = 'string';
