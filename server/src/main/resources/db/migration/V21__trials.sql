-- Kept messages with what must happen to them.
create table trial (
    id uuid primary key,
    mailbox_id uuid not null references mailbox on delete cascade,
    name text not null,
    received_at timestamptz not null,
    conversation boolean not null,
    expectations jsonb not null,
    people varchar[] not null,
    made_at timestamptz not null,
    made_by text not null,
    revision int not null,
    held_with int
);

create index trial_by_mailbox on trial (mailbox_id, made_at);

create table trial_content (
    trial_id uuid not null references trial on delete cascade,
    part int not null,
    stored_on date not null,
    bytes bytea not null,
    primary key (trial_id, part)
);

-- What a version was saved in spite of.
alter table rule_book add column notes jsonb not null default '[]';
