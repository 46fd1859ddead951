import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { api, taken } from '../../api/client';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export const PAGE = 100;

/** The pages of messages that are on the screen. */
export function useMessagePages(words: string, pages: number[]) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQueries({
    queries: pages.map((page) => ({
      queryKey: ['messages', mailbox, days, words, page],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        taken(
          api.GET('/api/mailboxes/{mailbox}/messages', {
            params: { path: { mailbox }, query: { words, days, offset: page * PAGE, limit: PAGE } },
            signal,
          }),
        ),
      refetchInterval: page === 0 ? 4000 : false,
      placeholderData: keepPreviousData,
    })),
  });
}

export function useMessage(id: number | undefined) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['message', mailbox, id],
    enabled: id !== undefined,
    refetchInterval: 4000,
    queryFn: () =>
      taken(
        api.GET('/api/mailboxes/{mailbox}/messages/{id}', { params: { path: { mailbox, id: id ?? 0 } } }),
      ),
  });
}
