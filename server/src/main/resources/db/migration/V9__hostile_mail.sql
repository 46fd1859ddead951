-- Messages that could not be taken in: why, whether they were tried once more, and whether a person has dealt with them.
alter table message add aside_cause text;
alter table message add aside_tried boolean not null default false;
alter table message add aside_done boolean not null default false;
create index message_set_aside on message (mailbox_id, id) where standing = 'SET_ASIDE';

-- Attempts to sign in, by what they are counted by; names stand in them as digests.
drop table sign_in_failure;
create table sign_in_attempt (
  id uuid not null,
  key text not null,
  at timestamptz not null
);
create index sign_in_attempt_by_key on sign_in_attempt (key, at);
create index sign_in_attempt_by_id on sign_in_attempt (id);
create index sign_in_attempt_by_age on sign_in_attempt (at);

-- Sessions, as Spring Session keeps them.
create table spring_session (
  primary_id char(36) not null,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(200),
  constraint spring_session_pk primary key (primary_id)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);
create table spring_session_attributes (
  session_primary_id char(36) not null,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name),
  constraint spring_session_attributes_fk foreign key (session_primary_id)
    references spring_session (primary_id) on delete cascade
);
