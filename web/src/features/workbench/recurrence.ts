/** The recurrences that people choose, as a rule of RFC 5545 and back. */
export type Recurring =
  | { kind: 'weekdays'; days: string[] }
  | { kind: 'weekday of month'; nth: string; day: string }
  | { kind: 'day of month'; number: string }
  | { kind: 'months'; months: string[] }
  | { kind: 'as written'; rule: string };

export const WEEKDAYS = [
  { value: 'MO', text: 'Monday' },
  { value: 'TU', text: 'Tuesday' },
  { value: 'WE', text: 'Wednesday' },
  { value: 'TH', text: 'Thursday' },
  { value: 'FR', text: 'Friday' },
  { value: 'SA', text: 'Saturday' },
  { value: 'SU', text: 'Sunday' },
];

export const NTH = [
  { value: '1', text: 'first' },
  { value: '2', text: 'second' },
  { value: '3', text: 'third' },
  { value: '4', text: 'fourth' },
  { value: '-1', text: 'last' },
];

export const MONTHS = Array.from({ length: 12 }, (_, i) => ({
  value: String(i + 1),
  text: new Intl.DateTimeFormat('en-GB', { month: 'long' }).format(new Date(2026, i, 1)),
}));

export const DAYS_OF_MONTH = [
  ...Array.from({ length: 31 }, (_, i) => ({ value: String(i + 1), text: String(i + 1) })),
  { value: '-1', text: 'the last' },
];

export function written(recurring: Recurring): string {
  switch (recurring.kind) {
    case 'weekdays':
      return `FREQ=WEEKLY;BYDAY=${recurring.days.join(',')}`;
    case 'weekday of month':
      return `FREQ=MONTHLY;BYDAY=${recurring.nth}${recurring.day}`;
    case 'day of month':
      return `FREQ=MONTHLY;BYMONTHDAY=${recurring.number}`;
    case 'months':
      return `FREQ=DAILY;BYMONTH=${recurring.months.join(',')}`;
    case 'as written':
      return recurring.rule;
  }
}

export function read(rule: string): Recurring {
  const weekly = /^FREQ=WEEKLY;BYDAY=((?:[A-Z]{2})(?:,[A-Z]{2})*)$/.exec(rule);
  const nth = /^FREQ=MONTHLY;BYDAY=([1-4]|-1)([A-Z]{2})$/.exec(rule);
  const day = /^FREQ=MONTHLY;BYMONTHDAY=(\d{1,2}|-1)$/.exec(rule);
  const months = /^FREQ=DAILY;BYMONTH=(\d{1,2}(?:,\d{1,2})*)$/.exec(rule);
  if (weekly?.[1]) {
    return { kind: 'weekdays', days: weekly[1].split(',') };
  }
  if (nth?.[1] && nth[2]) {
    return { kind: 'weekday of month', nth: nth[1], day: nth[2] };
  }
  if (day?.[1]) {
    return { kind: 'day of month', number: day[1] };
  }
  if (months?.[1]) {
    return { kind: 'months', months: months[1].split(',') };
  }
  return { kind: 'as written', rule };
}

/** A beginning for each kind, to be changed. */
export const BEGUN: Record<Exclude<Recurring['kind'], 'as written'>, Recurring> = {
  weekdays: { kind: 'weekdays', days: ['MO'] },
  'weekday of month': { kind: 'weekday of month', nth: '1', day: 'MO' },
  'day of month': { kind: 'day of month', number: '1' },
  months: { kind: 'months', months: ['5'] },
};

/** The same with one more or one less, in the order of all; the last one stays. */
export function toggled(chosen: string[], one: string, all: { value: string }[]): string[] {
  const next = chosen.includes(one) ? chosen.filter((other) => other !== one) : [...chosen, one];
  return next.length === 0 ? chosen : all.map(({ value }) => value).filter((value) => next.includes(value));
}
