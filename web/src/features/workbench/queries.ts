import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import type { Asked } from './model';

export type Counter = Schemas['EvidenceAsked']['counter'];
export type Evidence = Schemas['EvidenceView'];

/** What the rule in hand does to past mail; the last answer stays on the screen until the next one is there. */
export function useEvidence(asked: Asked | undefined, order: number, counter: Counter) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['evidence', mailbox, days, order, counter, asked?.rule],
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: ({ signal }) =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/evidence', {
          params: { path: { mailbox } },
          body: { rule: asked?.rule as Schemas['Rule'], order, days, counter, offset: 0, limit: 100 },
          signal,
        }),
      ),
  });
}
