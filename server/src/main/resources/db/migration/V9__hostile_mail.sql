-- Messages that could not be taken in: why, whether they were tried once more, and whether a person has dealt with them.
alter table message add aside_cause text;
alter table message add aside_tried boolean not null default false;
alter table message add aside_done boolean not null default false;
create index message_set_aside on message (mailbox_id, id) where standing = 'SET_ASIDE';
