import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** Whether mail leaves the current mailbox, and if not, since when and by whom. */
export function useStop() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.stop(mailbox),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/stop', { params: { path: { mailbox } } })),
  });
}

export function useStopping() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  const path = { mailbox };
  const onSuccess = () => queries.invalidateQueries({ queryKey: keys.stop() });
  return {
    stop: useMutation({
      mutationFn: (all: boolean) =>
        unwrap(api.PUT('/api/mailboxes/{mailbox}/stop', { params: { path, query: { all } } })),
      onSuccess,
    }),
    release: useMutation({
      mutationFn: () => unwrap(api.DELETE('/api/mailboxes/{mailbox}/stop', { params: { path } })),
      onSuccess,
    }),
  };
}
