import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';
import { useMailboxId } from '../mailbox';

export function useRuleBook() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['rule-book', mailbox],
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/rule-book', { params: { path: { mailbox } } })),
  });
}

export function useCourseFigures() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['course', mailbox],
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/course', { params: { path: { mailbox } } })),
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
      void queries.invalidateQueries({ queryKey: ['course', mailbox] });
      void queries.invalidateQueries({ queryKey: ['evidence', mailbox] });
    },
  });
}
