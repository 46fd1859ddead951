import { expect, test } from 'vitest';
import { pastMailInWords } from './pastMail';

const loaded = { ready: true, done: 4212, total: 4212, messages: 4212, cut: false };

test('the window says how much mail it holds', () => {
  expect(pastMailInWords(loaded)).toBe('4,212 messages');
});

test('while mail is loaded, it says how far that is', () => {
  expect(pastMailInWords({ ...loaded, ready: false, done: 1000 })).toBe('loading 1,000 of 4,212');
});

test('where not all mail fits in memory, it says that only the latest is looked at', () => {
  expect(pastMailInWords({ ...loaded, cut: true })).toBe('the latest 4,212 messages');
});
