import { expect, test } from 'vitest';
import type { Schemas } from '../../api/client';
import { said } from '../../test/said';
import { fateInWords, happeningsOf } from './fate';

const fate = (more: Partial<Schemas['Fate']>): Schemas['Fate'] => ({
  rule: 'r',
  own: true,
  kind: 'REPLY',
  done: said('replied to'),
  ...more,
});

test('a line says what would be done, and of what would not why', () => {
  const row = {
    counters: ['PICKED' as const],
    fate: [
      fate({ kind: 'MARK', done: said('marked read') }),
      fate({ notDone: { held: false, reason: said('it is an automatic message') } }),
      fate({ kind: 'FORWARD', notDone: { held: true, reason: said('a@far.example is outside') } }),
      fate({ kind: 'FILE', own: false, rule: 'Seeds', done: said('filed in Seeds') }),
    ],
  };
  expect(fateInWords(row)).toBe(
    'marked read, no reply: it is an automatic message, held: a@far.example is outside, filed in Seeds (Seeds)',
  );
  expect(happeningsOf(row.fate)).toEqual(['HELD', 'MARK', 'FILE']);
});

test('what came outside the hours of a rule says so', () => {
  expect(fateInWords({ counters: ['PICKED', 'OUTSIDE_ITS_HOURS'], fate: [] })).toBe('outside its hours');
  expect(fateInWords({ counters: ['NEAR_MISS'], fate: [] })).toBe('stays in the inbox');
});
