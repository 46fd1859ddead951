const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short' });
const FULL = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const FULL_DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** "14:02" today, else "20 Nov". */
export function shortDate(iso: string, now: Date): string {
  const at = new Date(iso);
  return at.toDateString() === now.toDateString() ? TIME.format(at) : DAY.format(at);
}

/** "20 Nov, 14:02", with the year when it is another one. */
export function dayAndTime(iso: string, now: Date = new Date()): string {
  const at = new Date(iso);
  return at.getFullYear() === now.getFullYear() ? `${DAY.format(at)}, ${TIME.format(at)}` : FULL.format(at);
}

/** As a field for a day and a time has it: 2026-12-03T10:00, in this browser's time. */
export function localTime(iso: string): string {
  const at = new Date(iso);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

export function timeOfDay(iso: string): string {
  return TIME.format(new Date(iso));
}

/** A day written 2026-11-26, as people read it. */
export function plainDay(day: string): string {
  return FULL_DAY.format(new Date(`${day}T12:00:00`));
}

/** "7 Dec", with the year when it is another one than that of today; both written 2026-11-26. */
export function dayOfYear(day: string, today: string): string {
  return day.slice(0, 4) === today.slice(0, 4) ? DAY.format(new Date(`${day}T12:00:00`)) : plainDay(day);
}

/** The day after one, both written 2026-11-26. */
export function dayAfter(day: string): string {
  return new Date(Date.parse(day) + 86_400_000).toISOString().slice(0, 10);
}

/** "Mon", of a day written 2026-11-30. */
export function weekday(day: string): string {
  return WEEKDAY.format(new Date(`${day}T12:00:00`));
}

/** "Wed 2 Dec, 09:00" on the clocks of a zone. */
export function inZone(iso: string, zone: string): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).formatToParts(new Date(iso));
  const part = (type: string) => parts.find((one) => one.type === type)?.value ?? '';
  return `${part('weekday')} ${part('day')} ${part('month')}, ${part('hour')}:${part('minute')}`;
}
