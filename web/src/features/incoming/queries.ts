import { keepPreviousData, useMutation, useQueries, useQuery } from '@tanstack/react-query';
import { asking } from '../../api/asking';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useBeginRule } from '../drafts';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export const PAGE = 100;

export interface Search {
  words: string;
  criteria: Schemas['Criterion'][];
  happened?: Schemas['MessagesAsked']['happened'];
  /** That picks the messages as it is now. */
  rule?: string;
}

/** The pages of messages that are on the screen. */
export function useMessagePages(search: Search, pages: number[]) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQueries({
    queries: pages.map((page) => ({
      queryKey: keys.messages(mailbox, days, search, page),
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        unwrap(
          api.POST('/api/mailboxes/{mailbox}/messages/search', {
            params: { path: { mailbox } },
            body: { ...search, days, offset: page * PAGE, limit: PAGE },
            signal,
          }),
        ),
      refetchInterval: page === 0 ? asking.every(4_000) : false,
      placeholderData: keepPreviousData,
    })),
  });
}

export function useMessage(id: number | undefined) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.message(mailbox, id),
    enabled: id !== undefined,
    refetchInterval: asking.every(4_000),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/messages/{id}', { params: { path: { mailbox, id: id ?? 0 } } }),
      ),
  });
}

/** What keeps coming; looked for again when the window changes, and now and then. */
export function useKinds() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.kinds(mailbox, days),
    placeholderData: keepPreviousData,
    refetchInterval: asking.every(30_000),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/recurring-mail', {
          params: { path: { mailbox }, query: { days } },
        }),
      ),
  });
}

/** A kind in detail, with its newest messages. */
export function useKind(kind: string | null, messages: number) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.kind(mailbox, days, kind, messages),
    enabled: kind !== null,
    retry: false,
    placeholderData: (before, query) => (query?.queryKey[3] === kind ? before : undefined),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/recurring-mail/kind', {
          params: { path: { mailbox }, query: { key: kind ?? '', days, limit: messages } },
        }),
      ),
  });
}

/** What tells some messages apart from others. */
export function useSuggestions(wanted: number[], unwanted: number[], open: boolean) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.suggestions(mailbox, days, wanted, unwanted),
    enabled: open && wanted.length > 0,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/suggestions', {
          params: { path: { mailbox } },
          body: { wanted, unwanted, days },
        }),
      ),
  });
}

/** Begins a rule with the criteria that are kept of one message, and gives its id. */
export function useBeginFrom() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  const begin = useBeginRule();
  return useMutation({
    mutationFn: async (id: number) => {
      const start = await unwrap(
        api.GET('/api/mailboxes/{mailbox}/messages/{id}/start', {
          params: { path: { mailbox, id }, query: { days } },
        }),
      );
      return begin({ all: start.kept.map((one) => one.criterion) }, id);
    },
  });
}

/** Where a rule may begin from one message, and which rules nearly take it. */
export function useStart(id: number | undefined) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.start(mailbox, days, id),
    enabled: id !== undefined,
    retry: false,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/messages/{id}/start', {
          params: { path: { mailbox, id: id ?? 0 }, query: { days } },
        }),
      ),
  });
}

/** What the rules as they are now, or with a draft among them, would make of a message. */
export function useExplained(
  id: number | undefined,
  draft: { rule: Schemas['Rule']; order: number } | undefined,
) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.explained(mailbox, id, days, draft),
    enabled: id !== undefined,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/explain', {
          params: { path: { mailbox } },
          body: { ...(draft ? { rule: draft.rule } : {}), order: draft?.order ?? 0, days, message: id ?? 0 },
        }),
      ),
  });
}
