-- Messages that come back unless somebody deals with them are looked for by each answer that comes in.
create index step_follow_up on step (mailbox_id) where kind = 'FOLLOW_UP' and not attended;
