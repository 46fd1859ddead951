-- Messages that come back unless somebody deals with them are looked for by each answer that comes in.
create index step_follow_up on step (mailbox_id) where kind = 'FOLLOW_UP' and not attended;

-- Whoever has a message that was handed on asked for its mail to stop; the address is to confirm it.
alter table agreement add column stop_due boolean not null default false;
alter table agreement add column stop_asked_at timestamptz;

-- Limits for one address and for one sender, beside those of a mailbox and of a rule.
alter table mailbox add column destination_limit int not null default 100;
alter table mailbox add column sender_limit int not null default 50;
