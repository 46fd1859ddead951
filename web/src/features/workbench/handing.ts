import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import type { Asked, Step } from './model';

/** One message as it came in, as a forward of it and as a redirect of it would be seen. */
export function useAsReceived(message: number | undefined, step: Step, open: boolean) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['as received', mailbox, days, message, step],
    enabled: open && message !== undefined,
    retry: false,
    queryFn: () =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/as-received', {
          params: { path: { mailbox } },
          body: { message: message ?? 0, days, step },
        }),
      ),
  });
}

/** How many of the messages that the rule picks a redirect would bring to the recipient. */
export function useArrival(asked: Asked | undefined, order: number, open: boolean) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['arrival', mailbox, days, order, asked?.rule],
    enabled: open && asked !== undefined,
    retry: false,
    queryFn: () =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/will-it-arrive', {
          params: { path: { mailbox } },
          body: { rule: asked?.rule as Schemas['Rule'], order, days },
        }),
      ),
  });
}

const LOOK_EVERY = 1_000;

/** Tests of aliases, the newest first; looked at often while one is under way. */
export function useAliasTests() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['alias tests', mailbox],
    enabled: mailbox !== '',
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/alias-tests', { params: { path: { mailbox } } })),
    refetchInterval: ({ state }) =>
      (state.data ?? []).some((test) => test.arrivedAt === undefined && test.fault === '')
        ? LOOK_EVERY
        : false,
  });
}

export function useSendAliasTest() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (address: string) =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/alias-tests', {
          params: { path: { mailbox } },
          body: { address },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['alias tests', mailbox] }),
  });
}
