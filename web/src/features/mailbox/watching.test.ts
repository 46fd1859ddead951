import { expect, test } from 'vitest';
import { watchingInWords } from './watching';

const mailbox = {
  id: '1',
  address: 'visits@ostrel-gardens.example',
  ownAddresses: [],
  ownDomains: [],
  zone: 'Europe/Stockholm',
  opening: [],
  watching: 'WATCHING' as const,
  watchingDetail: '',
  now: '2026-03-29T10:00:00Z',
};

test('trouble is said with its cause and the last good time', () => {
  const said = watchingInWords({
    ...mailbox,
    watching: 'UNREACHABLE',
    watchingDetail: 'The mail server can’t be reached.',
    lastContact: '2026-03-29T09:00:00Z',
  });
  expect(said.trouble).toBe(true);
  expect(said.text).toMatch(/^The mail server can’t be reached\. Last heard from it 29 Mar/);
});

test('the first reading shows its progress', () => {
  const said = watchingInWords({ ...mailbox, firstReading: { total: 7000, done: 1200, finished: false } });
  expect(said.text).toBe('reading past mail: 1,200 of 7,000');
});
