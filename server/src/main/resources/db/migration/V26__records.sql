-- Records are asked for by rule, and by what needs attention or was undone.
create index step_of_rule on step (mailbox_id, rule_id, planned_at desc);
create index step_in_state on step (mailbox_id, state, planned_at desc) where state <> 'SENT';
