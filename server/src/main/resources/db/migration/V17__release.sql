-- When a step that leaves may go out, where that is not at once; who let it go; whether that person wrote it anew.
alter table step add column release_at timestamptz;
alter table step add column released_by text;
alter table step add column edited boolean not null default false;
