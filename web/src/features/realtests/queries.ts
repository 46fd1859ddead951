import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** How often tests that are under way are asked for, in milliseconds: what does not come is told by nothing else. */
const WATCHED = 5_000;

/** Addresses that tests can be sent from. */
export function useTestSenders() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.realTests(mailbox, 'senders'),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/real-tests/senders', { params: { path: { mailbox } } })),
  });
}

/** Every trial: whether it can be sent from an address, and what would come of it. */
export function usePossibleTests(from: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.realTests(mailbox, 'possible', from),
    enabled: from !== '',
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/real-tests/possible', {
          params: { path: { mailbox }, query: { from } },
        }),
      ),
  });
}

/** The tests that were sent, the newest first. */
export function useRealTests() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.realTests(mailbox, 'sent'),
    refetchInterval: (query) => (query.state.data?.some((test) => test.open) ? WATCHED : false),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/real-tests', { params: { path: { mailbox } } })),
  });
}

function useRenewed() {
  const queries = useQueryClient();
  return () => queries.invalidateQueries({ queryKey: keys.realTests() });
}

export function useSendTests() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (body: { from: string; trials: string[] }) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/real-tests', { params: { path: { mailbox } }, body })),
    onSettled: renewed,
  });
}

/** Removes tests and what came of them. */
export function useCleanUp() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (tests: string[]) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/real-tests/cleaned', {
          params: { path: { mailbox } },
          body: tests,
        }),
      ),
    onSettled: renewed,
  });
}
