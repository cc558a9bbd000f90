-- Who may come in. While nobody stands here, the application is open to its own machine.
create table mowing.person (
  person_id    integer generated always as identity primary key,
  name         text not null,
  email        text not null,
  -- What her password was made into; null until she has chosen one. See server/people/password.
  password     text,
  -- Owns every account, those to come too.
  owns_all     boolean not null default false,
  made_at      timestamptz not null default now(),
  made_by      text not null default mowing.caller(),
  -- Set when she was taken out: what she did keeps her name.
  gone_at      timestamptz
);
create unique index person_email on mowing.person (lower(email)) where gone_at is null;

-- What somebody may do on an account; somebody without a row does not learn that it is there.
create table mowing.account_role (
  account_id   integer not null references mowing.account on delete cascade,
  person_id    integer not null references mowing.person,
  role         text not null check (role in ('reads', 'decides', 'sends', 'owns')),
  primary key (account_id, person_id)
);
create index account_role_of_person on mowing.account_role (person_id);

-- Who is in. Of what a browser carries only the hash is kept.
create table mowing.session (
  token_hash   bytea primary key,
  session_id   integer generated always as identity unique,
  person_id    integer not null references mowing.person,
  made_at      timestamptz not null default now(),
  seen_at      timestamptz not null default now(),
  address      text not null default '',
  browser      text not null default ''
);
create index session_of_person on mowing.session (person_id);

-- Links that let somebody choose a password, once.
create table mowing.one_time_link (
  token_hash   bytea primary key,
  person_id    integer not null references mowing.person,
  ends_at      timestamptz not null,
  used_at      timestamptz
);

-- Keys for scripts.
create table mowing.api_token (
  token_id     integer generated always as identity primary key,
  token_hash   bytea not null unique,
  name         text not null,
  made_by_id   integer not null references mowing.person,
  made_at      timestamptz not null default now(),
  role         text not null check (role in ('reads', 'decides', 'sends')),
  account_ids  integer[] not null,
  ends_on      date not null,
  used_at      timestamptz,
  ended_at     timestamptz
);

-- Failed tries to get in, by whom they were for and by where they came from.
create table mowing.failed_try (
  key          text primary key,
  failures     integer not null,
  last_at      timestamptz not null default now()
);

-- Who came in, who was let in or taken out. Written, never changed.
create table mowing.people_log (
  log_id       bigint generated always as identity primary key,
  at           timestamptz not null default now(),
  by_caller    text not null default mowing.caller(),
  what         text not null,
  subject      text not null default '',
  address      text not null default ''
);

-- What stands in a trail stays as it was written.
create function mowing.refuse_edit() returns trigger language plpgsql as $$
begin
  raise exception 'A trail is not edited.';
end
$$;
create trigger audit_is_kept before update on mowing.audit for each statement execute function mowing.refuse_edit();
create trigger people_log_is_kept before update or delete on mowing.people_log for each statement execute function mowing.refuse_edit();
