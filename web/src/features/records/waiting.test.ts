import { expect, test } from 'vitest';
import { said } from '../../test/said';
import { aStep } from '../../test/step';
import { lookedAt, untilInWords, waitingGroups, type Waiting } from './waiting';

function waiting(id: string, step: Parameters<typeof aStep>[0], approved = 0, subject = 'Pictures'): Waiting {
  return {
    step: aStep({ id, state: 'HELD', ...step }),
    message: {
      id: 7,
      received: '2026-11-30T10:00:00Z',
      sender: 'Lucie',
      subject,
      attachments: 0,
      notes: [],
      status: 'DECIDED',
    },
    approved,
  };
}

const FIRST = said('the first five on approval', 'RELEASE_FIRST_ON_APPROVAL');
const APPROVAL = said('it waits until a person approves it', 'APPROVAL');

test('what waits for a person comes first, then destinations, last what goes out by itself', () => {
  const groups = waitingGroups([
    waiting('later', { state: 'READY', releaseAt: '2026-11-30T11:00:00Z' }),
    waiting('outside', { because: said('not agreed', 'OUTSIDE') }),
    waiting('one', { because: APPROVAL, release: FIRST }, 2),
    waiting('late', { because: said('so late', 'OVER_LATE'), rule: 'alarms', ruleName: 'Alarms' }),
    waiting('two', { because: APPROVAL, release: FIRST }, 2),
  ]);
  expect(groups.map((group) => [group.title, group.items.map(({ step }) => step.id)])).toEqual([
    ['Visits · the first five on approval, 2 messages approved', ['one', 'two']],
    ['Alarms · held', ['late']],
    ['Outside address has not agreed yet', ['outside']],
    ['Goes out by itself', ['later']],
  ]);
});

test('a flood is dealt with by what is alike in it, whatever its numbers', () => {
  const over = { because: said('the limit', 'RULE_LIMIT'), ruleName: 'Alarms' };
  const groups = waitingGroups([
    waiting('a', over, 0, 'Frost alarm: fern house 3.1 °C'),
    waiting('b', over, 0, 'Pump 4 failed'),
    waiting('c', over, 0, 'Frost alarm: fern house 12 °C'),
  ]);
  expect(groups.map((group) => [group.title, group.items.map(({ step }) => step.id)])).toEqual([
    ['Alarms · over the limit · “Frost alarm: fern house … °C”', ['a', 'c']],
    ['Alarms · over the limit · “Pump … failed”', ['b']],
  ]);
});

test('when the one looked at is dealt with, what took its place is looked at', () => {
  const groups = waitingGroups(['a', 'b', 'c'].map((id) => waiting(id, { because: APPROVAL })));
  expect(lookedAt(groups, undefined)?.step.id).toBe('a');
  expect(lookedAt(groups, { id: 'gone', at: 1 })?.step.id).toBe('b');
  expect(lookedAt(groups, { id: 'gone', at: 9 })?.step.id).toBe('c');
  expect(lookedAt([], { id: 'gone', at: 0 })).toBeUndefined();
});

test('how long it is until something goes out is told in minutes while they are few', () => {
  const now = new Date('2026-11-30T10:00:00Z');
  const told = (iso: string) => untilInWords(iso, now, () => 'another day');
  expect(told('2026-11-30T10:04:10Z')).toBe('in 5 min');
  expect(told('2026-11-30T09:59:00Z')).toBe('now');
  expect(told('2026-12-01T08:00:00Z')).toBe('on another day');
});
