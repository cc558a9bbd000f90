-- Who decided what: every transaction that a person or a program asked for names its caller, and writes a line of the trail.
create function mowing.caller() returns text language sql stable as $$
  select coalesce(nullif(current_setting('mowing.caller', true), ''), 'this machine')
$$;

create table mowing.audit (
  account_id   integer not null references mowing.account on delete cascade,
  audit_id     bigint generated always as identity,
  at           timestamptz not null default now(),
  by_caller    text not null default mowing.caller(),
  -- What was done, and to what, in words: "set goal", "campaign 12".
  what         text not null,
  subject      text not null default '',
  from_value   jsonb,
  to_value     jsonb,
  primary key (account_id, audit_id)
);

alter table mowing.bale add column by_caller text not null default mowing.caller();
alter table mowing.change add column by_caller text not null default mowing.caller();
alter table mowing.note add column by_caller text not null default mowing.caller();
alter table mowing.goal add column by_caller text not null default mowing.caller();
alter table mowing.month_goal add column by_caller text not null default mowing.caller();
alter table mowing.product_cost add column by_caller text not null default mowing.caller();
alter table mowing.aside add column by_caller text not null default mowing.caller();
alter table mowing.job add column by_caller text not null default mowing.caller();
alter table mowing.negative_list add column by_caller text not null default mowing.caller();
alter table mowing.route add column by_caller text not null default mowing.caller();
alter table mowing.plan_choices add column by_caller text not null default mowing.caller();
alter table mowing.import add column by_caller text not null default mowing.caller();

-- Jobs: who runs one, by a token that no other process has; and whether it is to stop.
alter table mowing.job add column owner uuid;
alter table mowing.job add column cancel_asked boolean not null default false;
alter table mowing.job drop constraint job_state_check;
alter table mowing.job add constraint job_state_check check (state in ('waiting', 'running', 'done', 'failed', 'cancelled'));
-- Kinds stand in the program's registry.
alter table mowing.job drop constraint job_kind_check;

-- Days and due times of an account are those of its time zone. Raised with new figures or entities: pages that show older ones say so.
alter table mowing.account add column time_zone text not null default 'UTC';
alter table mowing.account add column revision bigint not null default 1;
