-- Rules carried out on mail that is already there.
create table catch_up (
  id uuid primary key,
  mailbox_id uuid not null references mailbox on delete cascade,
  rules varchar[] not null,
  versions int[] not null,
  folders varchar[] not null,
  subfolders boolean not null,
  days int not null,
  hand_overs boolean not null,
  replies boolean not null,
  repeats text,
  state text not null,
  note jsonb,
  read_done int not null,
  read_of int not null,
  before timestamptz not null,
  after_received timestamptz not null,
  after_id bigint not null,
  messages int not null,
  messages_of int not null,
  failed int not null,
  next_at timestamptz not null,
  begun_by text not null,
  begun_at timestamptz not null,
  ended_at timestamptz
);
create index catch_up_of_mailbox on catch_up (mailbox_id, begun_at desc);
create index catch_up_going on catch_up (next_at) where state in ('READING', 'RUNNING', 'WAITING');

create table catch_up_step (
  step_id uuid primary key references step on delete cascade,
  catch_up_id uuid not null references catch_up on delete cascade
);
create index catch_up_step_of on catch_up_step (catch_up_id);
