import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import type { Asked } from './model';

export type Counter = Schemas['EvidenceAsked']['counter'];
export type Evidence = Schemas['EvidenceView'];

/** What the rule in hand does to past mail; the last answer stays on the screen until the next one is there. */
export function useEvidence(
  asked: Asked | undefined,
  order: number,
  counter: Counter,
  example: number | undefined,
  limit: number,
) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['evidence', mailbox, days, order, counter, example, limit, asked?.rule],
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: ({ signal }) =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/evidence', {
          params: { path: { mailbox } },
          body: {
            rule: asked?.rule as Schemas['Rule'],
            order,
            days,
            counter,
            offset: 0,
            limit,
            ...(example === undefined ? {} : { example }),
          },
          signal,
        }),
      ),
  });
}

/** What an exception could say so that the rule leaves one message out. */
export function useExceptions(asked: Asked, order: number, message: number) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['exceptions', mailbox, days, order, message, asked.rule],
    retry: false,
    queryFn: () =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/evidence/exceptions', {
          params: { path: { mailbox } },
          body: { rule: asked.rule, order, days, message },
        }),
      ),
  });
}

/** What the rules, with the one in hand among them, would make of a message that never came. */
export function useMadeUp(rule: Schemas['Rule'] | undefined, order: number, madeUp: Schemas['MadeUp']) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['made up', mailbox, order, rule, madeUp],
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/explain', {
          params: { path: { mailbox } },
          body: { ...(rule ? { rule } : {}), order, madeUp },
        }),
      ),
  });
}
