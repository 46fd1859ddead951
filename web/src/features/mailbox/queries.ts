import { useQuery } from '@tanstack/react-query';
import { asking } from '../../api/asking';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from './currentMailbox';

const MINUTE = 60_000;

/** Its answer tells the time, too, so it is asked every minute. */
export function useMailbox() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.mailbox(mailbox),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}', { params: { path: { mailbox } } })),
    refetchInterval: () => asking.every(2_000)() || MINUTE,
  });
}

/** How much past mail the evidence period holds, and how far it is loaded. */
export function usePastMail() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.pastMail(mailbox, days),
    refetchInterval: (query) => (query.state.data?.ready === false ? 250 : asking.every(5_000)()),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/past-mail', { params: { path: { mailbox }, query: { days } } }),
      ),
  });
}
