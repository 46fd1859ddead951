-- ComposedReplies of replies that a composing service writes, one for each step that waits with one.
create table composed_reply (
    step_id uuid primary key references step on delete cascade,
    mailbox_id uuid not null references mailbox on delete cascade,
    progress text not null,
    attempts int not null,
    due_at timestamptz not null,
    because jsonb,
    sentences jsonb not null,
    reply text not null
);

create index composed_reply_by_mailbox on composed_reply (mailbox_id);

-- What was tried on past messages before a rule with it is switched on.
create table tried_instruction (
    mailbox_id uuid not null references mailbox on delete cascade,
    fingerprint text not null,
    primary key (mailbox_id, fingerprint)
);
