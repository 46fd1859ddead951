create table sent_message (
  mailbox_id uuid not null references mailbox on delete cascade,
  uid_validity bigint not null,
  uid bigint not null,
  message_id text not null,
  primary key (mailbox_id, uid_validity, uid)
);
create index sent_message_by_id on sent_message (mailbox_id, message_id);
