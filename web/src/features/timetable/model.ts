import type { Schemas } from '../../api/client';
import { withMember } from '../../lib/members';
import type { Rule } from '../rules';

export type Span = Schemas['ActiveSpan'];

export const VIEWS = { week: 7, 'six weeks': 42, year: 365 } as const;
export type View = keyof typeof VIEWS;

const DAY = 86_400_000;

/** The day some days after one, both as 2026-11-30. */
export function plusDays(day: string, days: number): string {
  return new Date(Date.parse(day) + days * DAY).toISOString().slice(0, 10);
}

export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY);
}

/** The Monday of the week in which a day lies. */
export function monday(day: string): string {
  const weekday = (new Date(Date.parse(day)).getUTCDay() + 6) % 7;
  return plusDays(day, -weekday);
}

export interface Column {
  day: string;
  weekend: boolean;
  /** What stands over it. */
  head: string | undefined;
}

const HEAD = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' });
const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });

/** The days that are shown: each with a head in a week, Mondays in six weeks, the first of each month in a year. */
export function columns(from: string, view: View): Column[] {
  return Array.from({ length: VIEWS[view] }, (_, i) => {
    const day = plusDays(from, i);
    const at = new Date(Date.parse(day));
    const heads: Record<View, string | undefined> = {
      week: WEEKDAY.format(at),
      'six weeks': i % 7 === 0 ? HEAD.format(at) : undefined,
      year: at.getUTCDate() === 1 ? MONTH.format(at) : undefined,
    };
    return { day, weekend: at.getUTCDay() % 6 === 0, head: heads[view] };
  });
}

/** Where a span stands, in hundredths of the width. */
export function placed(span: Span, from: string, until: string): { left: number; width: number } {
  const begin = Date.parse(from);
  const all = Date.parse(until) - begin;
  const left = ((Date.parse(span.from) - begin) / all) * 100;
  return { left, width: ((Date.parse(span.until) - Date.parse(span.from)) / all) * 100 };
}

export interface Days {
  first: string;
  last: string;
}

/** The periods of a rule that can be moved by their days: each has its first and last, and nothing recurs. */
export function movable(rule: Rule | undefined): Days[] {
  const { first, last, further = [], recurs } = rule?.active ?? {};
  const whole = [{ first, last }, ...further].flatMap((one) =>
    one.first && one.last ? [{ first: one.first, last: one.last }] : [],
  );
  return recurs === undefined && whole.length === further.length + 1 ? whole : [];
}

/** For a rule whose time is over: the same days in a year that is not; a week from today on where it has none. */
export function newDays(rule: Rule | undefined, today: string): Days[] {
  let days = movable(rule);
  while (days.length > 0 && days.every(({ last }) => last < today)) {
    days = days.map(({ first, last }) => ({ first: yearOn(first), last: yearOn(last) }));
  }
  return days.length > 0 || rule?.active?.recurs ? days : [{ first: today, last: plusDays(today, 6) }];
}

/** The same day of the next year; the day before where that year has none. */
function yearOn(day: string): string {
  const next = `${Number(day.slice(0, 4)) + 1}${day.slice(4)}`;
  return Number.isNaN(Date.parse(next)) || next.endsWith('02-29') ? `${next.slice(0, 8)}28` : next;
}

/** Both days moved, or the last alone; it never lies before the first. */
export function movedBy(days: Days, by: number, lastAlone: boolean): Days {
  const last = plusDays(days.last, by);
  if (!lastAlone) {
    return { first: plusDays(days.first, by), last };
  }
  return { first: days.first, last: last < days.first ? days.first : last };
}

/** The rules with one of them active in other periods. */
export function withDays(rules: Rule[], id: string, [first, ...further]: Days[]): Rule[] {
  return rules.map((rule) => {
    const active = withMember(
      { hours: 'always' as const, ...rule.active, ...first },
      'further',
      further.length === 0 ? undefined : further,
    );
    return rule.id === id ? { ...rule, active } : rule;
  });
}
