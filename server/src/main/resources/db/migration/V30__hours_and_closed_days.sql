-- Further hours of a mailbox by their names, and the days on which it is closed, as they are needed to decide.
alter table mailbox add column times jsonb;

-- Calendars of closed days, as they were taken in or last read from their files.
create table closed_calendar (
  id uuid primary key,
  mailbox_id uuid not null references mailbox on delete cascade,
  name text not null,
  file text,
  content text not null,
  read_at timestamptz not null,
  fault text,
  unique (mailbox_id, name)
);
