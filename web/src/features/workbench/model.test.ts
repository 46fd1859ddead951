import { expect, test } from 'vitest';
import {
  ask,
  draftOf,
  item,
  lacking,
  newDraft,
  pastedValues,
  presetEnding,
  withValues,
  type Draft,
} from './model';

const words = (values: string[], typing = '') => ({
  ...item({ part: 'subject or text', how: 'contains', values }),
  typing,
});
const draft = (more: Partial<Draft>): Draft => ({ ...newDraft('r', null), ...more });

test('what is being typed counts before it is a value', () => {
  expect(ask(draft({ picksOut: [words([], 'guided')] }))?.rule.picksOut).toEqual({
    all: [{ part: 'subject or text', how: 'contains', values: ['guided'] }],
  });
});

test('half an address takes nothing until it is whole', () => {
  const sender = (typing: string) => ({
    ...item({ part: 'sender', how: 'at domain or below', values: [] }),
    typing,
  });
  expect(ask(draft({ picksOut: [sender('birkhall')] }))).toBeUndefined();
  expect(ask(draft({ picksOut: [sender('birkhall-school.example')] }))).toBeDefined();
});

test('criteria without values are left out, and without any there is nothing to ask', () => {
  const asked = ask(draft({ picksOut: [words([]), words(['visit'])], leavesOut: [words([])] }));
  expect(asked?.picked).toHaveLength(1);
  expect(asked?.rule.leavesOut).toBeUndefined();
  expect(ask(draft({ picksOut: [words([])] }))).toBeUndefined();
});

test('a rule that is opened and asked about is the rule that was saved', () => {
  const rule = ask(
    draft({
      name: 'n',
      picksOut: [words(['visit'])],
      leavesOut: [words(['invoice'])],
      does: [{ do: 'file', folder: 'Seeds' }],
    }),
  )?.rule;
  expect(rule && ask(draftOf(rule, 3))?.rule).toEqual(rule);
});

test('it says what still keeps the rule from being switched on', () => {
  expect(lacking(draft({ picksOut: [] }))).toEqual(['Say what it picks out.', 'Say what it does.']);
  expect(lacking(draft({ everything: true, does: [{ do: 'redirect', to: [] }] }))).toEqual([
    'A step is not filled in yet.',
  ]);
});

test('pasted lines become values and the same value in another letter case does not come twice', () => {
  expect(pastedValues('guided visit\r\nclass booking\n\n', true)).toEqual(['guided visit', 'class booking']);
  expect(pastedValues('Anna <a@x.example>, b@x.example', false)).toContain('a@x.example');
  expect(withValues(['Visit'], ['visit', 'tour', 'Tour'])).toEqual(['Visit', 'tour']);
});

test('a rule that only hands on goes on, one that files or answers ends', () => {
  expect(presetEnding([{ do: 'redirect', to: ['a@b.example'] }])).toBe('goes on');
  expect(presetEnding([{ do: 'file', folder: 'Seeds' }])).toBe('ends here');
});
