-- What the specialist chose for an account's plans (pace, aim, thresholds). The newest that was not taken back counts; rows are
-- never overwritten, so that it can be told later under which choices a round was made.
create table mowing.plan_choices (
  account_id  integer not null references mowing.account on delete cascade,
  choice_id   bigint generated always as identity,
  -- All of them as they stood from then on.
  choices     jsonb not null,
  taken_back  boolean not null default false,
  chosen_at   timestamptz not null default now(),
  primary key (account_id, choice_id)
);
