import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export type CompletionOf = 'SENDER' | 'RECIPIENT' | 'WORDS';

/** Real addresses and phrases of past mail for what is being typed; nothing before two characters. */
export function useCompletions(of: CompletionOf, typed: string) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.completions(mailbox, days, of, typed),
    enabled: mailbox !== '' && typed.trim().length > 1,
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/completions', {
          params: { path: { mailbox }, query: { of, typed, days } },
          signal,
        }),
      ),
  });
}

/** The addresses of most past messages, with nothing typed yet. */
export function useFrequent(of: 'SENDER' | 'RECIPIENT') {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.completions(mailbox, days, of, ''),
    enabled: mailbox !== '',
    staleTime: 300_000,
    retry: false,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/completions', {
          params: { path: { mailbox }, query: { of, typed: '', days } },
        }),
      ),
  });
}
