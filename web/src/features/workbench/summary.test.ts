import { expect, test } from 'vitest';
import { item } from '../criteria';
import { newDraft } from './model';
import { criteriaInBrief, picksOutInBrief, stepInBrief, threeLines } from './summary';

const NAMES = new Map([['visits', 'How to book']]);

test('a closed part is one line that names its values', () => {
  const invoice = item({ part: 'subject', how: 'contains', values: ['invoice', 'Rechnung'] });
  const notAnna = item({ part: 'sender name', how: 'contains', values: ['Anna'], not: true });
  expect(criteriaInBrief([invoice, notAnna])).toBe('subject: invoice, Rechnung · not sender name: Anna');
  expect(criteriaInBrief([item({ all: [{ everything: true }] })])).toBe('every message');
  expect(criteriaInBrief([item({ part: 'text', how: 'contains', values: [] })])).toBe('');
  expect(picksOutInBrief({ ...newDraft('r'), everything: true })).toBe('every message');
});

test('a step in brief says where to, or that it is not said yet', () => {
  expect(stepInBrief({ do: 'redirect', to: ['duty@ostrel-gardens.example'] }, NAMES)).toBe(
    'to duty@ostrel-gardens.example',
  );
  expect(stepInBrief({ do: 'reply', template: 'visits' }, NAMES)).toBe('reply “How to book”');
  expect(stepInBrief({ do: 'forward', to: [] }, NAMES)).toBe('to …');
  expect(stepInBrief({ do: 'mark', flags: ['\\Seen', '\\Flagged'] }, NAMES)).toBe('read and flagged');
  expect(stepInBrief({ do: 'mark', flags: ['\\Seen'], tags: ['school-2026'] }, NAMES)).toBe(
    'read and “school-2026”',
  );
  expect(stepInBrief({ do: 'file', folder: 'Seeds', perValue: true }, NAMES)).toBe('Seeds, by value');
  expect(stepInBrief({ do: 'copy', folder: 'INBOX', mailbox: 'seeds@ostrel-gardens.example' }, NAMES)).toBe(
    'a copy in the inbox of seeds@ostrel-gardens.example',
  );
});

test('a forward shows the forwarder and a redirect the writer', () => {
  const desk = 'visits@ostrel-gardens.example';
  expect(threeLines({ do: 'forward', to: [] }, desk)).toMatchObject({ writerShown: desk, answersGoTo: desk });
  expect(threeLines({ do: 'redirect', to: [] }, desk)).toMatchObject({ subject: 'unchanged' });
  expect(threeLines({ do: 'file', folder: 'Seeds' }, desk)).toBeUndefined();
});
