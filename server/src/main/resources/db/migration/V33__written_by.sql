-- Names and addresses of those who wrote a message, as records are searched for them: looking at the lists of each message
-- takes many times as long. What joins them is not immutable of every type, but of text it is.
create function written_by(senders text[], names text[]) returns text
  language sql immutable as $$ select lower(array_to_string(senders || names, ' ')) $$;

alter table message add column written_by text
  generated always as (written_by(senders, sender_names)) stored;
