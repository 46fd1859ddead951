import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, unwrap } from '../api/client';
import { keys } from '../api/keys';
import { useEvidenceDays, useMailboxId } from '../features/mailbox';

const PAUSE = 150;
const FEWEST_LETTERS = 2;
const MESSAGES = 6;

/** Messages and people of past mail that have what is typed, once typing has paused. */
export function useFound(typed: string) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  const [words, setWords] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setWords(typed.trim()), PAUSE);
    return () => clearTimeout(timer);
  }, [typed]);
  const query = useQuery({
    queryKey: keys.found(mailbox, days, words),
    enabled: words.length >= FEWEST_LETTERS,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => {
      const path = { mailbox };
      const [page, people] = await Promise.all([
        unwrap(
          api.POST('/api/mailboxes/{mailbox}/messages/search', {
            params: { path },
            body: { words, criteria: [], days, offset: 0, limit: MESSAGES },
            signal,
          }),
        ),
        unwrap(
          api.GET('/api/mailboxes/{mailbox}/completions', {
            params: { path, query: { of: 'SENDER', typed: words, days } },
            signal,
          }),
        ),
      ]);
      return { messages: page.lines.map((line) => line.message), people: people.completions };
    },
  });
  const pausing = words !== typed.trim();
  return { messages: query.data?.messages, people: query.data?.people, looking: pausing || query.isFetching };
}
