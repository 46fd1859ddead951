-- What was so before a step in the mailbox, where its message or copy lies after it, and the step that undoes it.
create table step_trace (
  step_id uuid primary key references step on delete cascade,
  folder text not null,
  uid_validity bigint not null,
  uid bigint not null,
  flags varchar[] not null,
  likes bigint[] not null,
  after_folder text,
  after_validity bigint not null,
  after_uid bigint not null,
  undone_by uuid references step on delete set null
);
create unique index step_trace_by_undo on step_trace (undone_by) where undone_by is not null;
