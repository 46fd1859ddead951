-- Plain words for tables and columns.
alter table message_octets rename to message_content;
alter table message_content rename octets to bytes;
alter index message_octets_by_age rename to message_content_by_age;
alter table step_octets rename to step_content;
alter table step_content rename octets to bytes;
alter index step_octets_by_age rename to step_content_by_age;
alter table document_octets rename to document_content;
alter table document_content rename octets to bytes;
alter table reply_ledger rename to reply_history;
alter table reply_history rename writer to sender;
alter index reply_ledger_by_writer rename to reply_history_by_sender;
alter table desk_look rename to desk_visit;
alter table watch_lease rename fence to fencing_token;
alter table message rename standing to status;
alter table step rename let_go to approved;
update step set state = 'DISCARDED' where state = 'DROPPED';
update step set kind = 'NOTIFY' where kind = 'TELL';

-- The same in stored documents. A quote inside a value is escaped, so nothing a person wrote is taken for one of these.
create or replace function pg_temp.today(document text) returns text language plpgsql as $$
declare old text[];
begin
  foreach old slice 1 in array array[
    ['"do": "tell"', '"do": "notify"'],
    ['"do": "look by"', '"do": "remind"'],
    ['"ending": "goes on"', '"ending": "continue"'],
    ['"ending": "ends here"', '"ending": "stop here"'],
    ['"answersGo": "to writer"', '"answersGo": "to sender"'],
    ['"part": "standing"', '"part": "relationship"'],
    ['"part": "what the writer added"', '"part": "what the sender added"'],
    ['"part": "subject or what the writer added"', '"part": "subject or what the sender added"']] loop
    document := replace(document, old[1], old[2]);
  end loop;
  return document;
end $$;
update step set detail = pg_temp.today(detail::text)::jsonb;
update draft set document = pg_temp.today(document::text)::jsonb;
update message set parts = jsonb_set(parts, '{attachments}', (
  select jsonb_agg(a - 'octets' || jsonb_build_object('bytes', a -> 'octets'))
  from jsonb_array_elements(parts -> 'attachments') a))
  where jsonb_array_length(parts -> 'attachments') > 0;

-- Sentences become codes with arguments; what can't be told apart any more is kept in its words.
create or replace function pg_temp.recorded(words text) returns jsonb language sql strict as
  $$ select jsonb_build_object('code', 'RECORDED_IN_WORDS', 'arguments', jsonb_build_array(words)) $$;

alter table message rename notes to old_notes;
alter table message add notes jsonb not null default '[]';
update message set notes =
  (select jsonb_agg(case n
     when 'has no Message-ID' then '{"code": "NOTE_NO_MESSAGE_ID"}'::jsonb
     when 'has the Message-ID of another message' then '{"code": "NOTE_MESSAGE_ID_TWICE"}'::jsonb
     when 'is so large that only its header was read' then '{"code": "NOTE_ONLY_HEADER_READ"}'::jsonb
     when 'Date: no date that can be, so the time of arrival counts' then '{"code": "NOTE_NO_DATE"}'::jsonb
     else pg_temp.recorded(n) end) from unnest(old_notes) n)
  where cardinality(old_notes) > 0;
alter table message drop old_notes;
alter table message alter notes drop default;
alter table message alter aside_cause type jsonb using pg_temp.recorded(aside_cause);

-- What each rule made of a message: the beginning of the sentence is the code, the rest its argument.
update message set decision = jsonb_set(decision, '{rules}', coalesce((
  select jsonb_agg(line - 'words' || jsonb_build_object('outcome', case
    when line ->> 'words' = 'paused' then '{"code": "OUTCOME_OFF"}'::jsonb
    when line ->> 'words' = 'switched on only after the message came in' then '{"code": "OUTCOME_NOT_YET_ON"}'::jsonb
    when line ->> 'words' = 'could not be judged, so it did nothing' then '{"code": "OUTCOME_BROKEN"}'::jsonb
    when line ->> 'words' ~ '^picked, because it is mail .*; later rules do not see it$' then jsonb_build_object(
      'code', 'OUTCOME_PICKED_AND_STOPS', 'arguments', jsonb_build_array(
        substring(line ->> 'words' from '^picked, because it is mail (.*); later rules do not see it$')))
    when line ->> 'words' ~ '^picked, because it is mail .*; later rules go on$' then jsonb_build_object(
      'code', 'OUTCOME_PICKED_AND_CONTINUES', 'arguments', jsonb_build_array(
        substring(line ->> 'words' from '^picked, because it is mail (.*); later rules go on$')))
    when line ->> 'words' like 'left out, because it is mail %' then jsonb_build_object(
      'code', 'OUTCOME_EXCLUDED', 'arguments', jsonb_build_array(substring(line ->> 'words' from 30)))
    when line ->> 'words' like 'not picked, because it is not mail %' then jsonb_build_object(
      'code', 'OUTCOME_NOT_MATCHED', 'arguments', jsonb_build_array(substring(line ->> 'words' from 36)))
    when line ->> 'words' ~ '^not reached: “.*” ended the run$' then jsonb_build_object(
      'code', 'OUTCOME_NOT_REACHED', 'arguments', jsonb_build_array(
        substring(line ->> 'words' from '^not reached: “(.*)” ended the run$')))
    else pg_temp.recorded(line ->> 'words') end))
  from jsonb_array_elements(decision -> 'rules') line), '[]'))
  where decision is not null;

-- Why a step is where it is: a code in a column of its own, by which it is counted, and the arguments.
alter table step add reason_arguments jsonb;
create temporary table old_reason (words text, code text) on commit drop;
insert into old_reason values
  ('there is no return path to answer to', 'NO_RETURN_PATH'),
  ('its return path is null, as of bounces and automatic mail', 'NULL_RETURN_PATH'),
  ('it does not have exactly one address in From', 'NOT_ONE_SENDER'),
  ('it was sent automatically', 'AUTOMATIC'),
  ('it came through a mailing list', 'LIST'),
  ('it is mass mail by its Precedence', 'MASS_MAIL'),
  ('it is a delivery report or a receipt', 'REPORT'),
  ('it is a calendar message', 'CALENDAR'),
  ('it is marked as spam', 'SPAM'),
  ('it comes from a mail system or list address', 'SYSTEM_SENDER'),
  ('its writer''s address says that nobody reads answers', 'NO_REPLY_SENDER'),
  ('it comes from a postmaster', 'POSTMASTER'),
  ('it was written by this mailbox itself', 'OWN_SENDER'),
  ('no address of this mailbox is among its recipients', 'NOT_WRITTEN_TO_US'),
  ('it answers something this mailbox sent', 'CONVERSATION'),
  ('it was handed on to us by a Jubek mailbox', 'HANDED_ON'),
  ('this writer had an answer from this rule before', 'ANSWERED_BEFORE'),
  ('this writer had three automatic answers within a day', 'ANSWERS_A_DAY'),
  ('the template of its answer is gone', 'TEMPLATE_GONE'),
  ('the template of its answer says nothing to this message', 'TEMPLATE_EMPTY'),
  ('a document of its answer is gone', 'DOCUMENT_GONE'),
  ('the documents of its answer are too large to go along', 'DOCUMENTS_TOO_LARGE'),
  ('its large documents would go to somebody unknown', 'DOCUMENTS_TO_A_STRANGER'),
  ('the address its answer is to go to is not to be found in it', 'NOBODY_TO_ANSWER'),
  ('the address it is to be written as is not the mailbox’s own', 'IDENTITY_NOT_OURS'),
  ('a part of its header is too long to be read, so nobody knows what it says', 'HEADER_CUT'),
  ('no mail can be sent to the address its answer would go to', 'ADDRESS_UNUSABLE'),
  ('the rule goes by sender, and its answer would go to an address it does not pick', 'ANOTHER_ADDRESS'),
  ('there is nobody in the group it is to go to', 'GROUP_EMPTY'),
  ('an earlier rule answers it', 'SUPERSEDED'),
  ('the mailbox''s fence keeps it in', 'FENCE'),
  ('it has been through this mailbox already', 'LOOP'),
  ('it was handed on too often', 'TOO_MANY_HOPS'),
  ('it would go back to its own writer', 'BACK_TO_SENDER'),
  ('it would come back to this mailbox', 'BACK_TO_MAILBOX'),
  ('it is filed, and filing goes before getting rid of it', 'FILED'),
  ('a rule keeps it in the inbox', 'KEPT'),
  ('the rule was paused or removed before it left', 'RULE_SWITCHED_OFF'),
  ('the address lies outside our own domains and has not agreed to get mail', 'OUTSIDE'),
  ('the mailbox has sent as many messages as it may in one hour', 'HOURLY_LIMIT'),
  ('the rule has sent as many messages as it may in one hour', 'RULE_LIMIT'),
  ('it came in more than a day ago, and an answer so late may surprise', 'OVER_LATE'),
  ('it came in before the database was restored, so it may have left already', 'RESTORED'),
  ('perhaps twice: the first attempt broke off before it was confirmed', 'PERHAPS_TWICE'),
  ('to be tried again', 'TO_BE_TRIED_AGAIN'),
  ('nobody can know whether it left: the work broke off at the end', 'NOBODY_KNOWS_WHETHER_SENT'),
  ('because it could not be handed on to', 'NOT_HANDED_ON_TO'),
  ('forwarded instead', 'FORWARDED_INSTEAD'),
  ('in place of a redirect that could not leave as it was', 'IN_PLACE_OF_REDIRECT'),
  ('dropped by a person', 'DISCARDED_BY_PERSON'),
  ('somebody deleted it meanwhile', 'DELETED_MEANWHILE'),
  ('somebody moved or deleted it meanwhile, and so it stays', 'MOVED_OR_DELETED_MEANWHILE'),
  ('moved, but the mail server does not say where', 'MOVED_PLACE_UNKNOWN'),
  ('the address was refused', 'RECIPIENT_REFUSED'),
  ('the message was refused', 'CONTENT_REFUSED'),
  ('the message is too large for the next mail server', 'CONTENT_TOO_LARGE'),
  ('a line end in this message is one that SMTP forbids, so it can''t leave unchanged', 'FORBIDDEN_LINE_END'),
  ('the mail server takes no 8-bit content and this message has some', 'EIGHT_BIT_NOT_TAKEN'),
  ('the mailbox is full', 'MAILBOX_FULL'),
  ('the folder may only be read', 'FOLDER_READ_ONLY');
update step s set reason = null where reason = 'NOT_AS_IT_IS';
update step s set
  reason = coalesce((select code from old_reason r where starts_with(s.note, r.words) limit 1), 'RECORDED_IN_WORDS'),
  reason_arguments = coalesce(
    (select case when length(s.note) > length(r.words) + 1
       then jsonb_build_array(regexp_replace(
         regexp_replace(substr(s.note, length(r.words) + 1), '^:? ', ''), ' \((RFC|common|preset|one)[^)]*\)$', ''))
       else '[]'::jsonb end
     from old_reason r where starts_with(s.note, r.words) limit 1),
    jsonb_build_array(s.note))
  where s.note <> '';
update step set reason_arguments = jsonb_build_array(regexp_replace(
    reason_arguments ->> 0, '^(Auto-Submitted|Precedence|it goes) ', ''))
  where reason in ('AUTOMATIC', 'MASS_MAIL', 'ANSWERED_BEFORE') and jsonb_array_length(reason_arguments) > 0;
update step set reason_arguments = jsonb_build_array(recipient) where reason = 'OUTSIDE' and reason_arguments = '[]';
update step set reason_arguments = '[]' where reason is not null and reason_arguments is null;
alter table step alter advice drop not null;
alter table step alter advice drop default;
update step set advice = case advice
  when 'Forward it instead: a forward is written anew.' then 'FORWARD_INSTEAD'
  when 'Check the address in the rule; then try again, or drop it.' then 'CHECK_ADDRESS'
  when 'Read the server''s words; try again, or drop it.' then 'READ_AND_DECIDE'
  when 'Ask whoever runs the mail server to let this address send, then try again.' then 'LET_ADDRESS_SEND'
  when 'Correct the name and password in the settings.' then 'CORRECT_SIGN_IN'
  when 'Make room in the mailbox; Jubek tries again by itself.' then 'MAKE_ROOM'
  when 'Ask the recipient whether it came; try again only if it did not. It is not repeated by itself.'
    then 'ASK_RECIPIENT'
  else null end;
alter table step drop note;
create index step_by_reason on step (mailbox_id, reason) where state = 'WITHHELD';

-- Why a mailbox is not watched, and why a test of an alias could not be sent.
alter table mailbox add trouble_cause jsonb;
alter table mailbox add trouble_advice text;
alter table mailbox drop watching_detail;
alter table alias_test alter fault drop not null;
alter table alias_test alter fault type jsonb using case when fault = '' then null else pg_temp.recorded(fault) end;
