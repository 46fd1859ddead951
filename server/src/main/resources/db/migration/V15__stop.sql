-- Nothing leaves a mailbox that is listed here, until a person lets it go on.
create table stop (
    mailbox uuid primary key references mailbox on delete cascade,
    since timestamptz not null,
    who text not null
);
