-- A first reading can be paused.
alter table folder_cursor add column reading_paused boolean not null default false;

-- Rehearsals that were begun and not closed: begun anew where the process that had them in memory is gone.
create table open_rehearsal (
  id uuid primary key,
  mailbox_id uuid not null references mailbox on delete cascade,
  words text not null,
  document jsonb not null,
  days int not null,
  state text not null,
  begun_at timestamptz not null,
  begun_by text not null
);
create index open_rehearsal_by_mailbox on open_rehearsal (mailbox_id, begun_at desc);
