-- Who changed which setting; shown among the records.
create table setting_change (
  id uuid primary key,
  mailbox_id uuid not null references mailbox on delete cascade,
  at timestamptz not null,
  who text not null,
  what jsonb not null
);
create index setting_change_by_mailbox on setting_change (mailbox_id, at desc);
create index agreement_change_by_time on agreement_change (at);
