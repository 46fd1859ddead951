import { expect, test } from 'vitest';
import { asLines, asPlain, asRich, fromLines, newTemplate, usedFields, withBraces, withChips } from './model';

const fields = [
  { key: 'sender.firstName', name: 'the sender’s first name', canBeMissing: true },
  { key: 'subject', name: 'the subject answered', canBeMissing: true },
];

test('plain text is held line by line, with fields as words, and kept as it was', () => {
  const text = 'Dear {{ sender.firstName }},\n\n{{captured.pupils}}{{subject}} {not a field}';
  const held = asLines(text, fields);
  expect(
    held.content?.map((line) => line.content?.map((piece) => piece.text ?? piece.attrs?.['words'])),
  ).toEqual([
    ['Dear ', 'the sender’s first name', ','],
    [],
    ['“pupils” from the pattern', 'the subject answered', ' {not a field}'],
  ]);
  expect(fromLines(held, '\n')).toBe(text.replace('{{ sender.firstName }}', '{{sender.firstName}}'));
  expect(fromLines(asLines('a\nb', fields), ' ')).toBe('a b');
});

test('only fields between braces count as used', () => {
  const written = { ...newTemplate().written, subject: 'Re: {{ subject }}', text: 'sender.firstName' };
  expect(usedFields(written, fields).map((field) => field.key)).toEqual(['subject']);
});

test('what a pattern takes out of a message counts as a field that may be missing', () => {
  const written = { ...newTemplate().written, rich: '<p>{{captured.pupils}} and {{captured.pupils}}</p>' };
  expect(usedFields(written, fields)).toEqual([
    { key: 'captured.pupils', name: '“pupils” from the pattern', canBeMissing: true },
  ]);
});

test('fields are chips in the editor and braces where they are kept', () => {
  const kept = '<p>Dear {{sender.firstName}}, <b>{{ unknown.one }}</b></p>';
  const chips = withChips(kept, fields);
  expect(chips).toContain('<span data-field="sender.firstName">the sender’s first name</span>');
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
