import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** The addresses outside that rules name, and what they have said. */
export function useDestinations() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.destinations(mailbox),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/destinations', { params: { path: { mailbox } } })),
  });
}

/** What a person may do about an address that has not agreed. */
export function useDestinationActs() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  const onSuccess = () => queries.invalidateQueries({ queryKey: keys.destinations(mailbox) });
  const path = (id: string) => ({ params: { path: { mailbox, id } } });
  return {
    ask: useMutation({
      mutationFn: (id: string) =>
        unwrap(api.POST('/api/mailboxes/{mailbox}/destinations/{id}/request', path(id))),
      onSuccess,
    }),
    vouch: useMutation({
      mutationFn: (id: string) =>
        unwrap(api.POST('/api/mailboxes/{mailbox}/destinations/{id}/vouch', path(id))),
      onSuccess,
    }),
    code: useMutation({
      mutationFn: ({ id, code }: { id: string; code: string }) =>
        unwrap(api.POST('/api/mailboxes/{mailbox}/destinations/{id}/code', { ...path(id), body: { code } })),
      onSuccess,
    }),
  };
}

/** What a request asks, for whoever holds its link. */
export function useAgreement(token: string) {
  return useQuery({
    queryKey: keys.agreement(token),
    queryFn: () => unwrap(api.GET('/api/agreement/{token}', { params: { path: { token } } })),
  });
}

export function useAnswer(token: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (agrees: boolean) =>
      unwrap(api.POST('/api/agreement/{token}', { params: { path: { token } }, body: { agrees } })),
    onSuccess: (now) => queries.setQueryData(keys.agreement(token), now),
  });
}
