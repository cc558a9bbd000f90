-- What was taken in, and what was refused.
create table mowing.import (
  account_id   integer not null references mowing.account on delete cascade,
  import_id    bigint generated always as identity,
  kind         text not null,
  file_name    text,
  state        text not null check (state in ('reading', 'writing', 'needs-mapping', 'done', 'refused')),
  bytes_read   bigint not null default 0,
  bytes_total  bigint,
  read_rows    bigint not null default 0,
  kept_rows    bigint not null default 0,
  unchanged_rows bigint not null default 0,
  refused_rows bigint not null default 0,
  -- headings of the file, what they were matched to, required fields without a heading
  headings     jsonb not null default '[]',
  matched      jsonb not null default '{}',
  unmatched    jsonb not null default '[]',
  by_name      boolean not null default false,
  first_day    date,
  last_day     date,
  message      text not null default '',
  started_at   timestamptz not null default now(),
  touched_at   timestamptz not null default now(),
  finished_at  timestamptz,
  primary key (account_id, import_id)
);
create unique index import_by_id on mowing.import (import_id);

create table mowing.import_refused (
  account_id   integer not null,
  import_id    bigint not null,
  line         integer not null,
  reason       text not null,
  row_text     text not null,
  foreign key (account_id, import_id) references mowing.import on delete cascade
);
create index import_refused_by_import on mowing.import_refused (account_id, import_id, line);

-- Headings matched by hand, remembered for files with the same set of headings.
create table mowing.heading_match (
  account_id   integer not null references mowing.account on delete cascade,
  kind         text not null,
  heading_set  text not null,
  matched      jsonb not null,
  primary key (account_id, kind, heading_set)
);
