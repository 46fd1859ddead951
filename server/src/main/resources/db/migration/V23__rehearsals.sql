-- Rules that were rehearsed and kept with a name, to be rehearsed again later.
create table rehearsal (
    id uuid primary key,
    mailbox_id uuid not null references mailbox on delete cascade,
    name text not null,
    document jsonb not null,
    days int not null,
    messages int not null,
    changing int not null,
    made_at timestamptz not null,
    made_by text not null
);

create index rehearsal_by_mailbox on rehearsal (mailbox_id, made_at);
