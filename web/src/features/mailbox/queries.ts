import { useQuery } from '@tanstack/react-query';
import { api, taken } from '../../api/client';
import { useEvidenceDays, useMailboxId } from './inHand';

export function useMailbox() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['mailbox', mailbox],
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}', { params: { path: { mailbox } } })),
    refetchInterval: (query) => (query.state.data?.firstReading?.finished === false ? 1000 : 4000),
  });
}

/** How much past mail the evidence window holds, and how far it is loaded. */
export function usePastMail() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['past-mail', mailbox, days],
    refetchInterval: (query) => (query.state.data?.ready === false ? 250 : 5000),
    queryFn: () =>
      taken(
        api.GET('/api/mailboxes/{mailbox}/past-mail', { params: { path: { mailbox }, query: { days } } }),
      ),
  });
}
