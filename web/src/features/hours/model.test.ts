import { expect, test } from 'vitest';
import { spansOf, weekOf } from './model';

test('what people write for a day becomes spans, and is shown as they wrote it', () => {
  const week = { MONDAY: '9-12, 13:00–17:30', SATURDAY: '22:00-3:30', SUNDAY: '0-24' };
  const { spans, unreadable } = spansOf(week);
  expect(spans).toEqual([
    'MONDAY 09:00-12:00',
    'MONDAY 13:00-17:30',
    'SATURDAY 22:00-03:30',
    'SUNDAY 00:00-00:00',
  ]);
  expect(unreadable).toEqual([]);
  expect(weekOf(spans).MONDAY).toBe('9:00–12:00, 13:00–17:30');
});

test('a day that can’t be read is named, and the others stay', () => {
  expect(spansOf({ MONDAY: 'morning', TUESDAY: '9-17', FRIDAY: '9:70-12' })).toEqual({
    spans: ['TUESDAY 09:00-17:00'],
    unreadable: ['MONDAY', 'FRIDAY'],
  });
});
