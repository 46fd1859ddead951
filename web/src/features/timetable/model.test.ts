import { expect, test } from 'vitest';
import { ruleIn } from '../../test/rule';
import { columns, monday, movable, movedBy, newDays, placed, withDays } from './model';

test('six weeks begin on a Monday and name their Mondays', () => {
  expect(monday('2026-12-06')).toBe('2026-11-30');
  const days = columns('2026-11-30', 'six weeks');
  expect(days).toHaveLength(42);
  expect(days.filter(({ head }) => head).map(({ head }) => head)[1]).toBe('7 Dec');
  expect(days.filter(({ weekend }) => weekend)).toHaveLength(12);
});

test('a bar stands where its time lies', () => {
  const span = { from: '2026-12-01T00:00:00Z', until: '2026-12-01T12:00:00Z' };
  expect(placed(span, '2026-12-01T00:00:00Z', '2026-12-03T00:00:00Z')).toEqual({ left: 0, width: 25 });
});

test('one period is moved as a whole, or longer and shorter by its last day', () => {
  const days = { first: '2026-12-01', last: '2026-12-07' };
  expect(movedBy(days, 1, false)).toEqual({ first: '2026-12-02', last: '2026-12-08' });
  expect(movedBy(days, 3, true)).toEqual({ first: '2026-12-01', last: '2026-12-10' });
  expect(movedBy(days, -30, true)).toEqual({ first: '2026-12-01', last: '2026-12-01' });
});

test('periods are moved where each has its first and last day, and nothing recurs', () => {
  const twice = ruleIn({
    hours: 'always',
    first: '2026-12-01',
    last: '2026-12-07',
    further: [{ first: '2027-02-01', last: '2027-02-03' }],
  });
  const days = [
    { first: '2026-12-01', last: '2026-12-07' },
    { first: '2027-02-01', last: '2027-02-03' },
  ];
  expect(movable(twice)).toEqual(days);
  expect(movable(ruleIn({ hours: 'always', first: '2026-12-01' }))).toEqual([]);
  expect(movable(ruleIn({ hours: 'inside opening hours' }))).toEqual([]);
  expect(withDays([twice], twice.id, days)[0]).toEqual(twice);
  expect(withDays([twice], twice.id, [{ first: '2027-01-01', last: '2027-01-02' }])[0]?.active).toEqual({
    hours: 'always',
    first: '2027-01-01',
    last: '2027-01-02',
  });
});

test('a rule whose time is over gets the same days in a year that is not', () => {
  const over = (first: string, last: string) =>
    newDays(ruleIn({ hours: 'always', first, last }), '2026-12-02');
  expect(over('2026-05-01', '2026-05-20')).toEqual([{ first: '2027-05-01', last: '2027-05-20' }]);
  expect(over('2023-12-20', '2024-02-29')).toEqual([{ first: '2026-12-20', last: '2027-02-28' }]);
  expect(newDays(ruleIn({ hours: 'always', last: '2026-05-20' }), '2026-12-02')).toEqual([
    { first: '2026-12-02', last: '2026-12-08' },
  ]);
});
