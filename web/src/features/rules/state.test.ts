import { expect, test } from 'vitest';
import { dayIn } from '../mailbox';
import type { Rule } from './model';
import { ruleIn } from '../../test/rule';
import { stateInWords } from './state';

test('a rule says from when, until when, or since when no more it acts', () => {
  const active: Rule['active'] = { hours: 'always', first: '2026-12-01', last: '2026-12-07' };
  expect(stateInWords(ruleIn(active), '2026-11-30')).toBe('from 1 Dec');
  expect(stateInWords(ruleIn(active), '2026-12-01')).toBe('on · until 7 Dec');
  expect(stateInWords(ruleIn(active), '2026-12-07')).toBe('on · until 7 Dec');
  expect(stateInWords(ruleIn(active), '2026-12-08')).toBe('over since 8 Dec');
  expect(stateInWords(ruleIn({ hours: 'always', last: '2026-12-31' }), '2027-01-05')).toBe(
    'over since 1 Jan',
  );
  expect(stateInWords(ruleIn({ hours: 'always', first: '2027-01-04' }), '2026-12-30')).toBe(
    'from 4 Jan 2027',
  );
  expect(
    stateInWords(ruleIn({ hours: 'outside opening hours' }, { ending: 'stop here' }), '2026-12-08'),
  ).toBe('on outside hours · stops here');
  expect(stateInWords(ruleIn(active, { on: false }), '2026-12-08')).toBe('paused');
});

test('a rule that rests says until when, and one that never acts again says that', () => {
  const rule = ruleIn({ hours: 'inside opening hours' });
  const time = { active: false, next: '2026-12-07T08:00:00Z', zone: 'Europe/Stockholm' };
  expect(stateInWords(rule, '2026-12-05', time)).toBe('rests until Mon 7 Dec, 09:00');
  expect(stateInWords(rule, '2026-12-05', { active: false, zone: 'Europe/Stockholm' })).toBe(
    'over: never active again',
  );
});

test('the day it is goes by the place of the mailbox', () => {
  const lateInLisbon = new Date('2026-12-01T23:30:00Z');
  expect(dayIn('Europe/Lisbon', lateInLisbon)).toBe('2026-12-01');
  expect(dayIn('Europe/Helsinki', lateInLisbon)).toBe('2026-12-02');
});
