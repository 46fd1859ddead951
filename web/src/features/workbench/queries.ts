import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';
import { useRuleBook } from '../rules';
import { useSession } from '../session';
import type { Asked } from './model';

export type Counter = Schemas['EvidenceAsked']['counter'];
export type Evidence = Schemas['EvidenceView'];

const FIRST_ROWS = 40;
const MORE_ROWS = 400;

/**
 * What the edited rule does to past mail, its messages page by page; the last answer stays on the screen until the
 * next one is there.
 */
export function useEvidence(
  asked: Asked | undefined,
  order: number,
  counter: Counter,
  example: number | undefined,
) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useInfiniteQuery({
    queryKey: keys.evidence(mailbox, days, order, counter, example, asked?.rule),
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    initialPageParam: 0,
    getNextPageParam: (last: Evidence, pages) => {
      const there = pages.reduce((rows, page) => rows + page.rows.length, 0);
      return last.rows.length > 0 && there < last.rowsInAll ? there : undefined;
    },
    select: ({ pages }) => allOf(pages),
    queryFn: ({ signal, pageParam: offset }) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/evidence', {
          params: { path: { mailbox } },
          body: {
            rule: asked?.rule as Schemas['Rule'],
            order,
            days,
            counter,
            offset,
            limit: offset === 0 ? FIRST_ROWS : MORE_ROWS,
            ...(example === undefined ? {} : { example }),
          },
          signal,
        }),
      ),
  });
}

/** The figures of the newest page, and the messages of all; one that moved a page on while new mail came is there once. */
function allOf(pages: Evidence[]): Evidence | undefined {
  const last = pages[pages.length - 1];
  const rows = new Map(pages.flatMap((page) => page.rows).map((row) => [row.id, row]));
  return last && { ...last, rows: [...rows.values()] };
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
