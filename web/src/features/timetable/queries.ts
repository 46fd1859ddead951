import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** When rules are active and days are closed, over some days; what changes within them is asked for anew. */
export function useTimetable(from: string, days: number) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.timetable(mailbox, from, days),
    enabled: mailbox !== '',
    placeholderData: keepPreviousData,
    refetchInterval: 60_000,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/timetable', {
          params: { path: { mailbox }, query: { from, days } },
        }),
      ),
  });
}
