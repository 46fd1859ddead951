-- Several mailboxes, in the order in which the settings name them.
alter table mailbox add position int not null default 0;
