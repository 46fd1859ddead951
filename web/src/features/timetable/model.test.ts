import { expect, test } from 'vitest';
import { ruleIn } from '../../test/rule';
import { columns, monday, movable, movedBy, placed, withDays } from './model';

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

test('what has no first and last day, or recurs, is not moved', () => {
  const rule = ruleIn({ hours: 'always', first: '2026-12-01', last: '2026-12-07' });
  expect(movable(rule)).toEqual({ first: '2026-12-01', last: '2026-12-07' });
  expect(movable(ruleIn({ hours: 'inside opening hours' }))).toBeUndefined();
  expect(withDays([rule], rule.id, { first: '2027-01-01', last: '2027-01-02' })[0]?.active).toEqual({
    hours: 'always',
    first: '2027-01-01',
    last: '2027-01-02',
  });
});
