import { expect, test } from 'vitest';
import { newTemplate, usedFields, withField } from './model';

const fields = [
  { key: 'sender.firstName', words: 'the writer’s first name', canBeMissing: true },
  { key: 'subject', words: 'the subject answered', canBeMissing: true },
];

test('a field goes where the cursor stands', () => {
  expect(withField('Dear ,', 5, 'sender.firstName')).toEqual({
    text: 'Dear {{sender.firstName}},',
    cursor: 25,
  });
});

test('only fields between braces count as used', () => {
  const written = { ...newTemplate().written, subject: 'Re: {{ subject }}', text: 'sender.firstName' };
  expect(usedFields(written, fields).map((field) => field.key)).toEqual(['subject']);
});
