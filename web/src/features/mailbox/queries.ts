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

/** How many messages the evidence window holds. */
export function useEvidenceSize() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['evidence-size', mailbox, days],
    refetchInterval: 5000,
    queryFn: async () => {
      const page = await taken(
        api.POST('/api/mailboxes/{mailbox}/messages/search', {
          params: { path: { mailbox } },
          body: { words: '', criteria: [], days, offset: 0, limit: 1 },
        }),
      );
      return page.window;
    },
  });
}
