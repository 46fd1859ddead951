-- The opening hours that schedules of rules go by, each like "MONDAY 09:00-17:00".
alter table mailbox add opening text[] not null
  default '{MONDAY 09:00-17:00,TUESDAY 09:00-17:00,WEDNESDAY 09:00-17:00,THURSDAY 09:00-17:00,FRIDAY 09:00-17:00}';

-- What criteria ask for besides subject and texts; without it a message is read anew from its octets.
alter table message add parts jsonb;

-- Rules being made, as the page keeps them, one for each person and rule.
create table draft (
  account_id uuid not null references account on delete cascade,
  mailbox_id uuid not null references mailbox on delete cascade,
  rule_id text not null,
  document jsonb not null,
  saved_at timestamptz not null,
  primary key (account_id, mailbox_id, rule_id)
);
