-- How the figures and days of files with some headings are written, once it was said; and what a file could not tell by itself.
alter table mowing.heading_match add column decimals text check (decimals in ('.', ','));
alter table mowing.heading_match add column day_order text check (day_order in ('day-first', 'month-first'));
alter table mowing.import add column asks jsonb not null default '{"decimals": null, "dayOrder": null}';
alter table mowing.import add column several jsonb not null default '[]';
-- Sums of the file's readable rows and of those that were kept, by field.
alter table mowing.import add column sums jsonb not null default '[]';
