-- When each mailbox was last looked through for changes in the mail of its rules.
create table drift_look (
  mailbox_id uuid primary key references mailbox on delete cascade,
  looked_at timestamptz not null
);

-- What was found, and what a person dismissed, which is not told again.
create table drift (
  id uuid primary key,
  mailbox_id uuid not null references mailbox on delete cascade,
  rule_id text not null,
  rule_version int not null,
  key text not null,
  sort text not null,
  cause jsonb not null,
  effect jsonb not null,
  changed jsonb not null,
  messages bigint[] not null,
  found_at timestamptz not null,
  dismissed_at timestamptz,
  dismissed_by text,
  unique (mailbox_id, rule_id, key)
);
