-- Who is told each working day, by mail, what waits at a mailbox.
create table digest (
    account_id uuid not null references account on delete cascade,
    mailbox_id uuid not null references mailbox on delete cascade,
    address text not null,
    sent_on date,
    primary key (account_id, mailbox_id)
);
