import { expect, test } from 'vitest';
import {
  added,
  emptyTest,
  inBrief,
  isTest,
  pastedValues,
  valueFault,
  withValues,
  type Criterion,
} from './model';

test('pasted lines become values and the same value in another letter case does not come twice', () => {
  expect(pastedValues('guided visit\r\nclass booking\n\n', true)).toEqual(['guided visit', 'class booking']);
  expect(pastedValues('guided visit, class booking; tour', true)).toEqual([
    'guided visit',
    'class booking',
    'tour',
  ]);
  expect(pastedValues('1,200 bulbs, “Dear Sir, please”', true)).toEqual(['1,200 bulbs', 'Dear Sir, please']);
  expect(pastedValues('Anna <a@x.example>, b@x.example', false)).toContain('a@x.example');
  expect(withValues(['Visit'], ['visit', 'tour', 'Tour'])).toEqual(['Visit', 'tour']);
});

test('each kind of criterion begins as one that this screen can change', () => {
  const kinds = [
    'sender',
    'name',
    'recipient',
    'words',
    'relationship',
    'sent by',
    'attachments',
    'size',
    'field',
  ] as const;
  expect(kinds.every((kind) => isTest(emptyTest(kind) as Criterion))).toBe(true);
  expect(isTest({ any: [] as unknown as Criterion[] })).toBe(false);
  expect(isTest({ part: 'subject', how: 'is', compare: 'exact', values: ['x'] } as Criterion)).toBe(false);
});

test('a whole address typed first makes a test of domains one of addresses', () => {
  const domains = { part: 'sender' as const, how: 'at domain or below' as const, values: [] };
  expect(added(domains, ['anna@school.example'])).toMatchObject({ how: 'is' });
  expect(added({ ...domains, values: ['x.example'] }, ['anna@school.example'])).toMatchObject({
    how: 'at domain or below',
  });
});

test('a criterion in a few words', () => {
  expect(inBrief({ part: 'sent by', how: 'is', not: true, values: ['list', 'bulk'] } as Criterion)).toBe(
    'not sent by: list, bulk',
  );
  expect(inBrief({ part: 'attachments', how: 'over', value: 0 } as Criterion)).toBe('with attachments');
  expect(inBrief({ part: 'size', how: 'over', value: 5 * 1024 } as Criterion)).toBe('over 5 KB');
});

test('what is no address or domain says what would be', () => {
  const test = (how: 'is' | 'at domain', values: string[]) => ({ part: 'sender' as const, how, values });
  expect(valueFault(test('is', []), 'birkhall.example')).toBeUndefined();
  expect(valueFault(test('is', []), 'alarm@pump-house')).toBeUndefined();
  expect(valueFault(test('at domain', ['a.example']), 'liv@birkhall.example')).toContain(
    'Domains are compared',
  );
  expect(valueFault(test('is', ['a@b.example']), 'birkhall.example')).toContain(
    'Whole addresses are compared',
  );
  expect(valueFault(test('is', ['a@b.example']), 'Liv')).toContain('for a name, “sender’s name”');
  expect(valueFault(test('at domain', []), 'tickets')).toContain(
    'For a piece of an address, choose “contains”',
  );
  expect(valueFault({ part: 'sender', how: 'contains', values: [] }, 'tickets')).toBeUndefined();
});
