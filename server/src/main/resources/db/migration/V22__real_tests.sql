-- Trials that were sent for real, and where else what came of them was seen.
create table real_test (
    id uuid primary key,
    mailbox_id uuid not null references mailbox on delete cascade,
    trial_id uuid not null,
    name text not null,
    sender text not null,
    message_id text not null unique,
    rules varchar[] not null,
    expectations jsonb not null,
    sent_at timestamptz not null,
    sent_by text not null,
    fault jsonb,
    message bigint references message on delete set null,
    came_in_at timestamptz,
    unmet int[],
    cleaned_at timestamptz
);

create index real_test_by_mailbox on real_test (mailbox_id, sent_at);
create index real_test_by_message on real_test (message);

create table real_test_sighting (
    id uuid primary key,
    test_id uuid not null references real_test on delete cascade,
    mailbox_id uuid not null references mailbox on delete cascade,
    message_id text not null,
    sender text not null,
    subject text not null,
    seen_at timestamptz not null
);

create index real_test_sighting_by_test on real_test_sighting (test_id);

-- They are few, and every figure leaves them out.
create index message_real_tests on message (mailbox_id) where status = 'REAL_TEST';
