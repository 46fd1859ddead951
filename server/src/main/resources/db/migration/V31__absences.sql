-- Times in which the person of a mailbox is away. Their rules stand in the tail of the rule book.
create table absence (
  id uuid primary key,
  mailbox_id uuid not null references mailbox on delete cascade,
  first_day date not null,
  last_day date not null,
  audience text not null,
  audience_groups varchar[] not null,
  templates varchar[] not null,
  substitute text,
  substitute_name text,
  share text,
  rules varchar[] not null,
  redirected boolean not null,
  days_before integer not null,
  planned_by text not null,
  standing text not null,
  -- What the substitute is to be told next; none when there is nothing.
  note text,
  token text,
  removed boolean not null,
  -- When somebody came back before its last day.
  ended_at timestamptz,
  summed_up boolean not null
);
create index absence_by_mailbox on absence (mailbox_id, last_day);
create unique index absence_by_token on absence (token);
