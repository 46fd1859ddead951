import { expect, test } from 'vitest';
import { screenTexts } from './texts';

/** Words that were given up for plain ones (docs/vocabulary.md), and words that no screen needs. */
const GIVEN_UP =
  /\b(octets?|probes?|spared|overtaken|moulds?|standing|in the window|stands here|please|sorry|oops|simply|just)\b/i;

test('the screens say what they have to say in plain words', () => {
  const texts = screenTexts('src');
  if (process.env['PRINT_TEXTS']) {
    process.stdout.write(texts.map(({ file, text }) => `${file}: ${text}\n`).join(''));
  }
  expect(texts.length).toBeGreaterThan(300);
  expect(texts.filter(({ text }) => GIVEN_UP.test(text))).toEqual([]);
});

test('nobody is shouted at, and a sentence that asks or tells ends as one', () => {
  const sentences = screenTexts('src').filter(({ text }) => /^\p{Lu}.*[.!?]$/u.test(text));
  expect(sentences.length).toBeGreaterThan(50);
  expect(sentences.filter(({ text }) => text.includes('!'))).toEqual([]);
});
