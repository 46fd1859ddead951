import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, taken } from '../../api/client';
import { useMailboxId } from '../mailbox';

/** What was done since the person last left the desk. */
export function useDesk() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['desk', mailbox],
    refetchInterval: 10_000,
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/desk', { params: { path: { mailbox } } })),
  });
}

/** When the desk is left, what stood on it has been seen. */
export function useLeavingTheDesk(): void {
  const mailbox = useMailboxId();
  useEffect(
    () => () => {
      // Where that can't be noted, the desk counts from the look before: nothing is lost.
      api.PUT('/api/mailboxes/{mailbox}/desk/look', { params: { path: { mailbox } } }).catch(() => {});
    },
    [mailbox],
  );
}
