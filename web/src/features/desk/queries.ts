import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { asking } from '../../api/asking';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** What was done since the person last left the desk. */
export function useDesk() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.desk(mailbox),
    refetchInterval: asking.every(10_000),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/desk', { params: { path: { mailbox } } })),
  });
}

/** When the desk is left, what stood on it has been seen. */
export function useLeavingTheDesk(): void {
  const mailbox = useMailboxId();
  useEffect(
    () => () => {
      // Where that can't be noted, the desk counts from the look before: nothing is lost.
      api.PUT('/api/mailboxes/{mailbox}/desk/visit', { params: { path: { mailbox } } }).catch(() => {});
    },
    [mailbox],
  );
}

/** Messages that no rule could look at and that nobody has closed. */
export function useSetAside() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.setAside(mailbox),
    refetchInterval: asking.every(10_000),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/set-aside', { params: { path: { mailbox } } })),
  });
}

export function useSetAsideActs(id: number) {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  const params = { path: { mailbox, id } };
  const onSuccess = () => queries.invalidateQueries();
  return {
    tryAgain: useMutation({
      mutationFn: () => unwrap(api.POST('/api/mailboxes/{mailbox}/set-aside/{id}/try-again', { params })),
      onSuccess,
    }),
    close: useMutation({
      mutationFn: () => unwrap(api.POST('/api/mailboxes/{mailbox}/set-aside/{id}/close', { params })),
      onSuccess,
    }),
  };
}

/** How the mail of rules changed; asked anew for each version of the rules. */
export function useDrifts(version: number | undefined) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.drifts(mailbox, version),
    enabled: version !== undefined,
    refetchInterval: asking.every(10_000),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/drifts', { params: { path: { mailbox } } })),
  });
}

export function useDismissDrift() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (drift: string) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/drifts/{drift}/dismiss', { params: { path: { mailbox, drift } } }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.drifts(mailbox) }),
  });
}
