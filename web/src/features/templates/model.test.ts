import { expect, test } from 'vitest';
import { asPlain, asRich, newTemplate, usedFields, withBraces, withChips, withField } from './model';

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

test('what a pattern takes out of a message counts as a field that may be missing', () => {
  const written = { ...newTemplate().written, rich: '<p>{{captured.pupils}} and {{captured.pupils}}</p>' };
  expect(usedFields(written, fields)).toEqual([
    { key: 'captured.pupils', words: '“pupils” of the pattern', canBeMissing: true },
  ]);
});

test('fields are chips in the editor and braces where they are kept', () => {
  const kept = '<p>Dear {{sender.firstName}}, <b>{{ unknown.one }}</b></p>';
  const chips = withChips(kept, fields);
  expect(chips).toContain('<span data-field="sender.firstName">the writer’s first name</span>');
  expect(withBraces(chips)).toBe('<p>Dear {{sender.firstName}}, <b>{{unknown.one}}</b></p>');
  expect(withBraces('<p></p>')).toBe('');
});

test('plain text and rich text are made from each other', () => {
  const text = 'Dear {{subject}} & <co>\n\nfirst line\nsecond line';
  expect(asRich(text)).toBe('<p>Dear {{subject}} &amp; &lt;co&gt;</p><p>first line<br>second line</p>');
  expect(asPlain(asRich(text))).toBe(text);
  expect(
    asPlain('<ul><li><p>a</p></li><li><p>b</p></li></ul><p>see <a href="https://x.example">our page</a></p>'),
  ).toBe('- a\n- b\n\nsee our page (https://x.example)');
});
