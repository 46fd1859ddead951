-- Addresses outside a mailbox's own domains: whether they have agreed to get its mail.
create table agreement (
    id uuid primary key,
    mailbox_id uuid not null references mailbox on delete cascade,
    address text not null,
    address_key text not null,
    state text not null,
    state_since timestamptz not null,
    ends_at timestamptz,
    asked_by text not null,
    request_due_at timestamptz,
    requests integer not null default 0,
    wrong_codes integer not null default 0,
    unique (mailbox_id, address_key)
);
create index on agreement (request_due_at) where request_due_at is not null;

-- All that ever happened to it.
create table agreement_change (
    id uuid primary key,
    agreement_id uuid not null references agreement on delete cascade,
    at timestamptz not null,
    event text not null,
    who text not null
);
create index on agreement_change (agreement_id, at);

-- Messages that asked. Tokens and codes are kept as digests.
create table agreement_request (
    id uuid primary key,
    agreement_id uuid not null references agreement on delete cascade,
    mailbox_id uuid not null,
    address_key text not null,
    asked_by text not null,
    token text not null unique,
    code text not null,
    sent_at timestamptz not null,
    used_at timestamptz,
    fault jsonb
);
create index on agreement_request (address_key, sent_at);
create index on agreement_request (mailbox_id, sent_at);

-- Steps that wait for what their recipient says, looked for every second.
create index step_held_outside on step (mailbox_id, recipient)
    where state = 'HELD' and reason in ('OUTSIDE', 'DESTINATION_DECLINED');
