import { dayAfter, dayOfYear, inZone } from '../../lib/dates';
import type { Rule } from './model';

/** When a rule becomes active or rests, as the server tells it, on the clocks of a zone. */
export interface Time {
  active: boolean;
  next?: string;
  zone: string;
}

/**
 * "on · until 7 Dec", "from 1 Dec", "rests until Mon 7 Dec, 09:00", "over since 8 Dec", "paused"; today is a day as
 * 2026-11-26.
 */
export function stateInWords(rule: Rule, today: string, time?: Time): string {
  if (!rule.on) {
    return 'paused';
  }
  const { hours = 'always', of, first, last, further } = rule.active ?? {};
  if (last && last < today && !further) {
    return `over since ${dayOfYear(dayAfter(last), today)}`;
  }
  if (first && first > today && !further) {
    return `from ${dayOfYear(first, today)}`;
  }
  if (time && !time.active) {
    return time.next ? `rests until ${inZone(time.next, time.zone)}` : 'over: never active again';
  }
  const said = [hours === 'always' ? 'on' : `on ${hours.split(' ')[0]} ${of ? `“${of}”` : 'hours'}`];
  if (last) {
    said.push(`until ${dayOfYear(last, today)}`);
  }
  if (rule.ending === 'stop here') {
    said.push('stops here');
  }
  return said.join(' · ');
}
