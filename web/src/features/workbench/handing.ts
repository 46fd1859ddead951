import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { asking } from '../../api/asking';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import type { Asked, Step } from './model';

export type SeenOf = { message: number } | { sample: Schemas['SampleMessage'] };

/** One message as it came in, as a forward of it and as a redirect of it would be seen. */
export function useAsReceived(of: SeenOf, step: Step, open: boolean) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.asReceived(mailbox, days, of, step),
    enabled: open,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/as-received', {
          params: { path: { mailbox } },
          body: { ...of, days, step },
        }),
      ),
  });
}

/** How many of the messages that the rule picks a redirect would bring to the recipient. */
export function useArrival(asked: Asked | undefined, order: number, open: boolean) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.arrival(mailbox, days, order, asked?.rule),
    enabled: open && asked !== undefined,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/will-it-arrive', {
          params: { path: { mailbox } },
          body: { rule: asked?.rule as Schemas['Rule'], order, days },
        }),
      ),
  });
}

/** Tests of aliases, the newest first; looked at often while one is under way. */
export function useAliasTests() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.aliasTests(mailbox),
    enabled: mailbox !== '',
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/alias-tests', { params: { path: { mailbox } } })),
    refetchInterval: ({ state }) =>
      (state.data ?? []).some((test) => test.arrivedAt === undefined && test.fault === undefined)
        ? asking.every(1_000)()
        : false,
  });
}

export function useSendAliasTest() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (address: string) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/alias-tests', {
          params: { path: { mailbox } },
          body: { address },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.aliasTests(mailbox) }),
  });
}
