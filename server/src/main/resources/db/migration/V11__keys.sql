-- Every row can be named.
delete from reply_history a using reply_history b
  where a.ctid > b.ctid and a.step_id = b.step_id and a.sender = b.sender;
alter table reply_history add primary key (step_id, sender);
delete from sign_in_attempt a using sign_in_attempt b where a.ctid > b.ctid and a.id = b.id and a.key = b.key;
alter table sign_in_attempt add primary key (id, key);
drop index sign_in_attempt_by_id;
