-- In which an account's days begin.
alter table quaymarket.account add column time_zone text not null default 'UTC';
