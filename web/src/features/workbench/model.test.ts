import { expect, test } from 'vitest';
import { item } from '../criteria';
import {
  ask,
  begunDraft,
  draftOf,
  lacking,
  letterFor,
  newDraft,
  withSteps,
  type Draft,
  trustingForm,
} from './model';

const words = (values: string[], typing = '') => ({
  ...item({ part: 'subject or text', how: 'contains', values }),
  typing,
});
const draft = (more: Partial<Draft>): Draft => ({ ...newDraft('r'), ...more });

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
  expect(asked?.rule.picksOut).toEqual({
    all: [{ part: 'subject or text', how: 'contains', values: ['visit'] }],
  });
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
  expect(lacking(draft({ picksOut: [] }), [])).toEqual([
    'Choose what it picks out.',
    'Choose at least one action to switch this rule on.',
  ]);
  const unfinished = [{ path: '/does/1/to', message: 'name an address' }];
  expect(lacking(draft({ everything: true, does: [{ do: 'keep' }] }), unfinished)).toEqual([
    'Action 2: name an address.',
  ]);
});

test('an ending goes with the actions until a person chooses another', () => {
  const filing: Draft['does'] = [{ do: 'file', folder: 'Seeds' }];
  expect(withSteps(draft({ ending: 'continue' }), filing, 'continue').ending).toBeUndefined();
  expect(withSteps(draft({ ending: 'stop here' }), filing, 'continue').ending).toBe('stop here');
});

test('a rule begun from found criteria opens with each of them and no name yet', () => {
  const begun = begunDraft('r', {
    all: [
      { part: 'sender', how: 'at domain', values: ['school.example'] },
      { part: 'subject', how: 'contains', values: ['guided visit'] },
    ],
  });
  expect(begun.picksOut).toHaveLength(2);
  expect(ask(begun)?.rule.name).toBe('school.example: guided visit');
});

test('a sample message begins as the criteria say', () => {
  const begun = begunDraft('r', {
    all: [
      { part: 'sender', how: 'at domain', values: ['school.example'] },
      { part: 'subject', how: 'contains', values: ['guided visit'] },
    ],
  });
  expect(letterFor(begun, 'visits@ostrel-gardens.example', undefined)).toEqual({
    from: 'somebody@school.example',
    to: 'visits@ostrel-gardens.example',
    subject: 'guided visit',
    text: '',
  });
});

test('a form that is trusted is answered at whom it names, beside those that were trusted before', () => {
  const reply = { do: 'reply' as const, subject: '', text: 'Thank you.', oncePerDays: 7 };
  const once = trustingForm({ ...newDraft('r'), does: [reply, { do: 'archive' }] }, 'noreply@forms.example');
  expect(once.does).toMatchObject([
    { text: 'Thank you.', answersTo: { part: 'text', forms: ['noreply@forms.example'] } },
    { do: 'archive' },
  ]);
  expect(trustingForm(once, 'web@tickets.example').does[0]).toMatchObject({
    answersTo: { forms: ['noreply@forms.example', 'web@tickets.example'] },
  });
});
