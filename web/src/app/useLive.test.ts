import { expect, test, vi } from 'vitest';
import { Renewal } from './useLive';

test('what changed is asked for at once, and once more when more came meanwhile', () => {
  vi.useFakeTimers();
  const asked: string[] = [];
  const renewal = new Renewal((name, mailbox) => asked.push(`${name} of ${mailbox}`));
  for (let i = 0; i < 50; i++) {
    renewal.of({ topic: 'NOTICES', mailbox: 'visits' });
  }
  expect(asked).toEqual(['notices of visits']);
  vi.advanceTimersByTime(600);
  expect(asked).toEqual(['notices of visits', 'notices of visits']);
  vi.advanceTimersByTime(10_000);
  expect(asked).toHaveLength(2);
  vi.useRealTimers();
});
