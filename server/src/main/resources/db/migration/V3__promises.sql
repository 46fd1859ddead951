create table node (
  id uuid primary key,
  schema_version int not null,
  seen_at timestamptz not null
);

alter table mailbox add rule_limit int not null default 100;
alter table mailbox add evidence_epoch bigint not null default 0;

-- Set by bin/restore: what came in before may have been acted on after the backup was taken.
alter table mailbox add restored_at timestamptz;

-- Messages that came in before acts_from are evidence only: set when the folder's UIDs were given out anew.
alter table folder_cursor add acts_from timestamptz not null default '-infinity';

-- Octets in parts of a mebibyte, so that a large message is never in memory whole.
alter table message_octets add part int not null default 0;
alter table message_octets drop constraint message_octets_pkey;
alter table message_octets add primary key (message_id, part);
create index message_octets_by_age on message_octets (stored_on);

create table step_octets (
  step_id uuid not null references step on delete cascade,
  part int not null,
  stored_on date not null,
  octets bytea not null,
  primary key (step_id, part)
);
insert into step_octets (step_id, part, stored_on, octets)
  select id, 0, current_date, octets from step where octets is not null;
alter table step drop octets;
create index step_octets_by_age on step_octets (stored_on);

alter table step add reason text;
alter table step add advice text not null default '';
alter table step add let_go boolean not null default false;
alter table step add perhaps_twice boolean not null default false;
alter table step add claimed_by uuid;
create index step_of_rule_sent on step (mailbox_id, rule_id, claimed_at) where outgoing_id is not null;

alter table message add gone_at timestamptz;
create index message_located on message (mailbox_id, located_folder) where gone_at is null;
