-- Prepared answers, all versions kept; the newest counts, and none when that one says it was removed.
create table template (
  mailbox_id uuid not null references mailbox on delete cascade,
  id text not null,
  version int not null,
  name text not null,
  language text not null,
  subject text not null,
  text text not null,
  fallbacks jsonb not null,
  look_again_on date,
  removed boolean not null,
  saved_at timestamptz not null,
  saved_by text not null,
  primary key (mailbox_id, id, version)
);
