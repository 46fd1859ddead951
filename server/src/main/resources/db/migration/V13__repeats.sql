-- How often the same message came in again, and when last: it is not acted on a second time, and a person can see that.
alter table message add column repeats integer not null default 0;
alter table message add column repeated_at timestamptz;
