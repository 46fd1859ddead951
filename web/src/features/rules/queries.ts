import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { asking } from '../../api/asking';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export function useRuleBook() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.ruleBook(mailbox),
    enabled: mailbox !== '',
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/rule-book', { params: { path: { mailbox } } })),
  });
}

/**
 * @param version of the rules they are for, so that a reply under way for an earlier one is not taken for theirs
 */
export function useCourseFigures(version: number | undefined, days = 30) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.figures(mailbox, version, days),
    enabled: version !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/rule-book/figures', {
          params: { path: { mailbox }, query: { days } },
        }),
      ),
  });
}

/** The rules as a finding's remedy would leave them; nothing is saved. */
export function useRemedy() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useMutation({
    mutationFn: (finding: string) =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/review/{finding}/remedy', {
          params: { path: { mailbox, finding }, query: { days } },
        }),
      ),
  });
}

/** How often and when each rule acted. */
export function useUses() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.uses(mailbox),
    refetchInterval: asking.every(30_000),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/uses', { params: { path: { mailbox } } })),
  });
}

/** What is amiss in the rules, measured on past mail. */
export function useReview(version: number | undefined) {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useQuery({
    queryKey: keys.review(mailbox, days, version),
    enabled: version !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/review', { params: { path: { mailbox }, query: { days } } })),
  });
}

/** The versions of the rules, the newest first. */
export function useHistory(open: boolean) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.history(mailbox),
    enabled: open,
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/rule-book/history', { params: { path: { mailbox } } })),
  });
}

/** Which past mail would change hands with other rules; nothing is saved. */
export function useChangedHands() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useMutation({
    mutationFn: (document: Schemas['RuleBook']) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/changed-hands', {
          params: { path: { mailbox } },
          body: { document, days },
        }),
      ),
  });
}

const STALE_ONCE_SAVED = [
  keys.history,
  keys.kinds,
  keys.loops,
  keys.start,
  keys.explained,
  keys.trials,
  keys.hours,
  keys.timetable,
];

export function useSaveRuleBook() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (saving: Schemas['RuleBookSaving']) =>
      unwrap(api.PUT('/api/mailboxes/{mailbox}/rule-book', { params: { path: { mailbox } }, body: saving })),
    onSuccess: (saved) => {
      queries.setQueryData(keys.ruleBook(mailbox), saved);
      for (const stale of STALE_ONCE_SAVED) {
        void queries.invalidateQueries({ queryKey: stale(mailbox) });
      }
      void queries.invalidateQueries({ queryKey: keys.evidence(mailbox) });
    },
  });
}
