import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, taken } from '../../api/client';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export type CompletionOf = 'SENDER' | 'RECIPIENT' | 'WORDS';

/** Real addresses and phrases of past mail for what is being typed; nothing before two characters. */
export function useCompletions(of: CompletionOf, typed: string) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['completions', mailbox, days, of, typed],
    enabled: mailbox !== '' && typed.trim().length > 1,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
    queryFn: ({ signal }) =>
      taken(
        api.GET('/api/mailboxes/{mailbox}/completions', {
          params: { path: { mailbox }, query: { of, typed, days } },
          signal,
        }),
      ),
  });
}
