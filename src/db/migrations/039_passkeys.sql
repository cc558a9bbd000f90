-- Keys that a device keeps for somebody: she comes in without a password (WebAuthn).
create table mowing.passkey (
  passkey_id   integer generated always as identity primary key,
  person_id    integer not null references mowing.person,
  -- By which the device finds it again.
  credential   text not null unique,
  public_key   bytea not null,
  -- How often the device says it was used: one that falls back was copied.
  counter      bigint not null,
  name         text not null,
  made_at      timestamptz not null default now(),
  used_at      timestamptz
);
create index passkey_of_person on mowing.passkey (person_id);

-- What a device was asked to sign, each once and for a few minutes.
create table mowing.passkey_challenge (
  challenge    text primary key,
  -- Whose passkey is to be made; null: somebody wants in.
  person_id    integer references mowing.person,
  ends_at      timestamptz not null
);
