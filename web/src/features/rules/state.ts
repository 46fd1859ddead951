import { dayAfter, dayOfYear } from '../../lib/dates';
import type { Rule } from './model';

/** "on · until 7 Dec", "from 1 Dec", "over since 8 Dec", "paused"; today is a day as 2026-11-26. */
export function stateInWords(rule: Rule, today: string): string {
  if (!rule.on) {
    return 'paused';
  }
  const { hours = 'always', first, last } = rule.active ?? {};
  if (last && last < today) {
    return `over since ${dayOfYear(dayAfter(last), today)}`;
  }
  if (first && first > today) {
    return `from ${dayOfYear(first, today)}`;
  }
  const said = [hours === 'always' ? 'on' : `on ${hours.split(' ')[0]} hours`];
  if (last) {
    said.push(`until ${dayOfYear(last, today)}`);
  }
  if (rule.ending === 'stop here') {
    said.push('stops here');
  }
  return said.join(' · ');
}
