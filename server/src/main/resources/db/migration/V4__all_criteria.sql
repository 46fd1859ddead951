-- The opening hours that schedules of rules go by, each like "MONDAY 09:00-17:00".
alter table mailbox add opening text[] not null
  default '{MONDAY 09:00-17:00,TUESDAY 09:00-17:00,WEDNESDAY 09:00-17:00,THURSDAY 09:00-17:00,FRIDAY 09:00-17:00}';

-- What criteria ask for besides subject and texts; without it a message is read anew from its octets.
alter table message add parts jsonb;
