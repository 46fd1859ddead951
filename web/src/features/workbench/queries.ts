import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import { useRuleBook } from '../rules';
import { useSession } from '../session';
import type { Asked } from './model';

export type Counter = Schemas['EvidenceAsked']['counter'];
export type Evidence = Schemas['EvidenceView'];

/** What the edited rule does to past mail; the last answer stays on the screen until the next one is there. */
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
    queryKey: keys.evidence(mailbox, days, order, counter, example, limit, asked?.rule),
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: ({ signal }) =>
      unwrap(
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
    queryKey: keys.exceptions(mailbox, days, order, message, asked.rule),
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/evidence/exceptions', {
          params: { path: { mailbox } },
          body: { rule: asked.rule, order, days, message },
        }),
      ),
  });
}

/** Folders in use in another mailbox, by its address. */
export function useFoldersOf(address: string | undefined): string[] {
  const other = useSession().data?.mailboxes.find((one) => one.address === address)?.id;
  const lying = useQuery({
    queryKey: keys.folders(other),
    enabled: other !== undefined,
    staleTime: 60_000,
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/folders', { params: { path: { mailbox: other ?? '' } } })),
  });
  return lying.data ?? [];
}

/** Folders and tags that are in use, for a person to choose from; others are made when mail first goes there. */
export function useKnown(): { folders: string[]; tags: string[] } {
  const mailbox = useMailboxId();
  const book = useRuleBook();
  const lying = useQuery({
    queryKey: keys.folders(mailbox),
    enabled: mailbox !== '',
    staleTime: 60_000,
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/folders', { params: { path: { mailbox } } })),
  });
  const steps = (book.data?.document.rules ?? []).flatMap((rule) => rule.does);
  const named = steps.flatMap((step) => ('folder' in step ? [step.folder] : []));
  const tags = steps.flatMap((step) => (step.do === 'mark' ? (step.tags ?? []) : []));
  const folders = [...(lying.data ?? []), ...named].filter((folder) => folder.toLowerCase() !== 'inbox');
  return { folders: [...new Set(folders)].sort(), tags: [...new Set(tags)].sort() };
}

/** What the rules, with the edited one among them, would make of a message that never came. */
export function useSampleMessage(
  rule: Schemas['Rule'] | undefined,
  order: number,
  sample: Schemas['SampleMessage'],
) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.sampleMessage(mailbox, order, rule, sample),
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/explain', {
          params: { path: { mailbox } },
          body: { ...(rule ? { rule } : {}), order, sample },
        }),
      ),
  });
}
