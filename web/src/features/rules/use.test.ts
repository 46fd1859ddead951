import { expect, test } from 'vitest';
import { copiedFor, sendersOf, type Rule } from './model';
import { usedInWords } from './use';

test('a rule says how often it acted, what its exceptions left out and where another rule’s reply went first', () => {
  const acted = { rule: 'r', messages: 214, last: '2026-11-24T14:02:00Z', superseded: 3 };
  const words = usedInWords({ acted, matches: { rule: 'r', picked: 40, leftOut: 12 } });
  expect(words).toContain('Acted on 214 messages, last');
  expect(words).toContain('left out 12 messages in 30 days');
  expect(words).toContain('Another rule’s reply went first for 3 messages.');
  expect(usedInWords({ acted: undefined, matches: undefined })).toBe('Has not acted yet.');
});

test('a copy for another sender keeps all else and is paused', () => {
  const rule: Rule = {
    id: 'a',
    version: 4,
    name: 'School visits',
    picksOut: {
      all: [
        { part: 'sender', how: 'at domain or below', values: ['norrskola.example'] },
        { part: 'subject', how: 'contains', values: ['guided visit'] },
      ],
    },
    does: [],
    ending: 'continue',
    on: true,
  };
  const copy = copiedFor(rule, 'rune@birkhall-school.example');
  expect(sendersOf(copy)).toEqual(['rune@birkhall-school.example']);
  expect(copy.picksOut).toMatchObject({ all: [{ how: 'is' }, { values: ['guided visit'] }] });
  expect(copy.on).toBe(false);
  expect(copy.id).not.toBe('a');
});
