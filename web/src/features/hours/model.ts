export const WEEK = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'] as const;

export type Weekday = (typeof WEEK)[number];

/** For each day of the week what people write: "9:00–12:00, 13:00–17:00"; nothing when it is closed. */
export type Week = Partial<Record<Weekday, string>>;

const SPAN = /^(\d{1,2})(?::?(\d{2}))?\s*[-–]\s*(\d{1,2})(?::?(\d{2}))?$/;

export function dayName(day: Weekday): string {
  return day.charAt(0) + day.slice(1).toLowerCase();
}

/** Spans as the server has them, "MONDAY 09:00-17:00", day by day. */
export function weekOf(spans: string[]): Week {
  const week: Week = {};
  spans.forEach((span) => {
    const [day, times = ''] = span.split(' ') as [Weekday, string?];
    const shown = times.replace('-', '–').replace(/\b0(?=\d:)/g, '');
    week[day] = week[day] ? `${week[day]}, ${shown}` : shown;
  });
  return week;
}

/** What is written for a day as spans, or undefined when it can't be read. */
function spansOfDay(day: Weekday, written: string): string[] | undefined {
  const parts = written
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const spans = parts.map((part) => {
    const found = SPAN.exec(part);
    const [from, to] = found ? [time(found[1], found[2]), time(found[3], found[4])] : [];
    return from && to && `${day} ${from}-${to}`;
  });
  return spans.every((span): span is string => span !== undefined && span !== '') ? spans : undefined;
}

/** 24:00 is the midnight after the day. */
function time(hour: string | undefined, minute: string | undefined): string | undefined {
  const hours = Number(hour) === 24 && Number(minute ?? 0) === 0 ? 0 : Number(hour);
  const minutes = Number(minute ?? 0);
  return hours < 24 && minutes < 60
    ? `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`
    : undefined;
}

/** All spans of a week, and the days that can't be read. */
export function spansOf(week: Week): { spans: string[]; unreadable: Weekday[] } {
  const read = WEEK.map((day) => ({ day, spans: spansOfDay(day, week[day] ?? '') }));
  return {
    spans: read.flatMap(({ spans }) => spans ?? []),
    unreadable: read.filter(({ spans }) => spans === undefined).map(({ day }) => day),
  };
}
