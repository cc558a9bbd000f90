-- An ad group may have a part of its campaign's budget, and days of its own.
alter table quaymarket.ad_group add column budget bigint;
alter table quaymarket.ad_group add column starts_on date;
alter table quaymarket.ad_group add column ends_on date;
