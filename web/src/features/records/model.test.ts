import { expect, test } from 'vitest';
import type { Schemas } from '../../api/client';
import { said } from '../../test/said';
import { grouped, inOneLine, inTime, isUnseen } from './model';

const record = (id: string, rule: string, message: number, done: string, state: string) =>
  ({
    step: { id, rule, ruleName: rule, ruleVersion: 1, done: said(done), state, plannedAt: id },
    message: { id: message },
  }) as unknown as Schemas['RecordView'];

test('what a rule did with a message is one record, and what needs a person is said first', () => {
  const records = [
    record('5', 'notices', 8, 'filed in Notices', 'SENT'),
    record('4', 'visits', 7, 'filed in Visits', 'SENT'),
    record('3', 'visits', 7, 'redirected to education', 'FAILED'),
    record('2', 'visits', 7, 'marked read', 'SENT'),
    record('1', 'seeds', 7, 'marked read', 'SENT'),
  ];
  const groups = grouped(records);
  expect(groups.map((group) => [group.rule, group.message.id, group.steps.length])).toEqual([
    ['notices', 8, 1],
    ['visits', 7, 3],
    ['seeds', 7, 1],
  ]);
  expect(inOneLine(groups[1]?.steps ?? [])).toEqual([
    { words: 'not redirected to education', state: 'failed', needsPerson: true, because: [] },
    { words: 'marked read, filed in Visits', state: 'done', needsPerson: false, because: [] },
  ]);
});

test('what comes back says when, and once it is dealt with that it is not needed', () => {
  const step = (kind: string, state: string, releaseAt?: string) =>
    ({ kind, state, acts: [], done: said(kind), releaseAt }) as unknown as Schemas['StepView'];
  const waiting = inOneLine([
    step('FORWARD', 'READY', '2026-12-01T10:00:00Z'),
    step('FOLLOW_UP', 'READY', '2026-12-01T10:00:00Z'),
  ]);
  expect(waiting.map((line) => line.state.split(' ').slice(0, 2).join(' '))).toEqual([
    'goes out',
    'comes back',
  ]);
  expect(inOneLine([step('FOLLOW_UP', 'DISCARDED')])[0]?.state).toBe('not needed');
});

test('a reply that was withheld while the message left the inbox is told apart, with why', () => {
  const step = (kind: string, state: string, because?: string, acts: string[] = []) =>
    ({
      kind,
      state,
      acts,
      done: said(kind),
      ...(because ? { because: said(because) } : {}),
    }) as unknown as Schemas['StepView'];
  const steps = [
    step('FILE', 'SENT'),
    step('REPLY', 'WITHHELD', 'this sender had a reply before', ['ANSWER_ANYWAY', 'BRING_BACK', 'LEAVE']),
  ];
  expect(isUnseen(steps)).toBe(true);
  expect(inOneLine(steps)[1]?.because).toEqual(['this sender had a reply before']);
  expect(isUnseen([step('MARK', 'SENT'), step('REPLY', 'WITHHELD')])).toBe(false);
  expect(isUnseen([step('FILE', 'SENT'), step('REPLY', 'SENT')])).toBe(false);
});

test('who changed the rules stands where it was, among what was done', () => {
  const at = (minute: string) => `2026-12-01T10:${minute}:00Z`;
  const records = [
    record(at('30'), 'seeds', 7, 'filed', 'SENT'),
    record(at('10'), 'seeds', 8, 'filed', 'SENT'),
  ];
  const change = (minute: string) => ({ at: at(minute) }) as Schemas['SavedChange'];
  const rows = inTime(records, [change('40'), change('20'), change('00')]);
  expect(rows.map((row) => (row.change ? row.change.at : row.group.at).slice(14, 16))).toEqual([
    '40',
    '30',
    '20',
    '10',
    '00',
  ]);
});
