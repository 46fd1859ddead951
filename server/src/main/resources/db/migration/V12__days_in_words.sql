-- When a rule was resting is told by days, not by texts; of a rule without hours, by its days alone.
update message set decision = regexp_replace(regexp_replace(regexp_replace(regexp_replace(decision::text,
    '\{"code": "FROM", "arguments": \[(\{"code": "HOURS_[A-Z]+"\}), "([0-9-]+)"\]\}',
    '{"code": "HOURS_OF_DAYS", "arguments": [\1, {"code": "FROM_DAY", "arguments": [{"day": "\2"}]}]}', 'g'),
    '\{"code": "UNTIL", "arguments": \[(\{"code": "HOURS_[A-Z]+"\}), "([0-9-]+)"\]\}',
    '{"code": "HOURS_OF_DAYS", "arguments": [\1, {"code": "UNTIL_DAY", "arguments": [{"day": "\2"}]}]}', 'g'),
    '\{"code": "FROM_UNTIL", "arguments": \[(\{"code": "HOURS_[A-Z]+"\}), "([0-9-]+)", "([0-9-]+)"\]\}',
    '{"code": "HOURS_OF_DAYS", "arguments": [\1, {"code": "DAYS", "arguments": [{"day": "\2"}, {"day": "\3"}]}]}', 'g'),
    '\{"code": "HOURS_OF_DAYS", "arguments": \[\{"code": "HOURS_ALWAYS"\}, (\{"code": "[A-Z_]+", "arguments": \[[^]]*\]\})\]\}',
    '\1', 'g')::jsonb
  where decision::text ~ '"code": "(FROM|UNTIL|FROM_UNTIL)", "arguments"';
