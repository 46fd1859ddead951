import { expect, test } from 'vitest';
import { said } from '../../test/said';
import { watchingInWords } from './watching';

const mailbox = {
  id: '1',
  address: 'visits@ostrel-gardens.example',
  ownAddresses: [],
  ownDomains: [],
  zone: 'Europe/Stockholm',
  opening: [],
  watching: 'WATCHING' as const,
  now: '2026-03-29T10:00:00Z',
};

test('trouble is said with its cause and the last good time', () => {
  const shown = watchingInWords({
    ...mailbox,
    watching: 'UNREACHABLE',
    trouble: {
      cause: said('the mail server can’t be reached'),
      advice: said('Jubek tries again by itself.'),
    },
    lastContact: '2026-03-29T09:00:00Z',
  });
  expect(shown.trouble).toBe(true);
  expect(shown.text).toMatch(
    /^The mail server can’t be reached\. Jubek tries again by itself\. Last heard from it 29 Mar/,
  );
});

test('the first reading shows its progress', () => {
  const shown = watchingInWords({
    ...mailbox,
    firstReading: { total: 7000, done: 1200, finished: false, paused: false },
  });
  expect(shown.text).toBe('reading past mail: 1,200 of 7,000');
});
