-- A letter to a substitute that could not be handed over for now is tried again from this instant on.
alter table absence add column note_after timestamptz;
