-- When a person last left the desk; what was done since then is shown on it.
create table desk_look (
  account_id uuid not null references account on delete cascade,
  mailbox_id uuid not null references mailbox on delete cascade,
  at timestamptz not null,
  primary key (account_id, mailbox_id)
);
