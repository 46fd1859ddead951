import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export function useRuleBook() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['rule-book', mailbox],
    enabled: mailbox !== '',
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/rule-book', { params: { path: { mailbox } } })),
  });
}

/**
 * @param version of the rules they are for, so that an answer under way for an earlier one is not taken for theirs
 */
export function useCourseFigures(version: number | undefined, days = 30) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['course', mailbox, version, days],
    enabled: version !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      taken(api.GET('/api/mailboxes/{mailbox}/course', { params: { path: { mailbox }, query: { days } } })),
  });
}

/** The rules as a finding's remedy would leave them; nothing is saved. */
export function useRemedy() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useMutation({
    mutationFn: ({ rule, words }: { rule: string; words: string }) =>
      taken(
        api.GET('/api/mailboxes/{mailbox}/review/remedy', {
          params: { path: { mailbox }, query: { days, rule, words } },
        }),
      ),
  });
}

/** How often and when each rule acted. */
export function useUses() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['uses', mailbox],
    refetchInterval: 30_000,
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/uses', { params: { path: { mailbox } } })),
  });
}

/** What is amiss in the rules, measured on past mail. */
export function useReview(version: number | undefined) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: ['review', mailbox, days, version],
    enabled: version !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      taken(api.GET('/api/mailboxes/{mailbox}/review', { params: { path: { mailbox }, query: { days } } })),
  });
}

/** The versions of the rules, the newest first. */
export function useHistory(open: boolean) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['history', mailbox],
    enabled: open,
    queryFn: () =>
      taken(api.GET('/api/mailboxes/{mailbox}/rule-book/history', { params: { path: { mailbox } } })),
  });
}

/** Which past mail would change hands with other rules; nothing is saved. */
export function useRehearsal() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useMutation({
    mutationFn: (document: Schemas['RuleBook']) =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/rehearsal', {
          params: { path: { mailbox } },
          body: { document, days },
        }),
      ),
  });
}

export function useSaveRuleBook() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (saving: Schemas['RuleBookSaving']) =>
      taken(api.PUT('/api/mailboxes/{mailbox}/rule-book', { params: { path: { mailbox } }, body: saving })),
    onSuccess: (saved) => {
      queries.setQueryData(['rule-book', mailbox], saved);
      for (const what of ['history', 'kinds', 'start', 'explained']) {
        void queries.invalidateQueries({ queryKey: [what, mailbox] });
      }
      void queries.invalidateQueries({ queryKey: ['evidence', mailbox] });
    },
  });
}
