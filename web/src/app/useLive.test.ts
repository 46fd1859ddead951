import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { expect, test, vi } from 'vitest';
import { askAgain, Renewal } from './useLive';

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

test('what changes while it is asked for the first time is asked for once more', async () => {
  const queries = new QueryClient();
  const answers: ((words: string) => void)[] = [];
  const shown: (string | undefined)[] = [];
  const observer = new QueryObserver(queries, {
    queryKey: ['records', 'visits'],
    queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
  });
  const stop = observer.subscribe(({ data }) => shown.push(data));
  askAgain(queries, ['records', 'visits']);
  answers[0]?.('before the change');
  await vi.waitFor(() => expect(answers).toHaveLength(2));
  answers[1]?.('after it');
  await vi.waitFor(() => expect(shown.at(-1)).toBe('after it'));
  stop();
});
