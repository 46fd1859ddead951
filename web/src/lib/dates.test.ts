import { expect, test } from 'vitest';
import { dayAndTime, shortDate, inZone } from './dates';
import { counted } from './numbers';

const now = new Date('2026-03-29T12:00:00');

test('today is a time, another day a date, another year says so', () => {
  expect(shortDate('2026-03-29T09:05:00', now)).toBe('09:05');
  expect(shortDate('2026-03-20T09:05:00', now)).toBe('20 Mar');
  expect(dayAndTime('2026-03-20T09:05:00', now)).toBe('20 Mar, 09:05');
  expect(dayAndTime('2025-03-20T09:05:00', now)).toContain('2025');
});

test('one is singular', () => {
  expect(counted(1, 'message')).toBe('1 message');
  expect(counted(4212, 'message')).toBe('4,212 messages');
});

test('an instant is shown as the clocks of a zone show it', () => {
  expect(inZone('2026-12-02T23:00:00Z', 'Europe/Stockholm')).toBe('Thu 3 Dec, 00:00');
});
