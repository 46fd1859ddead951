-- Whether a person has dealt with an answer that was withheld while its message left the inbox; and whether a step waits
-- until its rule's answer has left.
alter table step add column attended boolean not null default false;
alter table step add column after_reply boolean not null default false;
