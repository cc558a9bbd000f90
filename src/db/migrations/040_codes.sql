-- What an app on somebody's phone works codes out of (RFC 6238); whoever reads it can do the same.
create table mowing.code_key (
  person_id    integer primary key references mowing.person,
  secret       bytea not null,
  -- Null until a first code showed that the app has it: until then none is asked for.
  on_since     timestamptz,
  -- The half minute of the last code that was taken: each is taken once.
  last_step    bigint not null default 0
);
