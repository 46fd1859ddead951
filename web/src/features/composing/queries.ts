import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useEvidenceDays, useMailboxId } from '../mailbox';

export type Sentence = Schemas['SentenceView'];
export type Composed = Schemas['ComposedReplyView'];

/** Whether replies can be composed, and where messages would go to for that. */
export function useComposing() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.composing(mailbox),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/composing', { params: { path: { mailbox } } })),
  });
}

/** Has replies composed for the latest messages that a rule picks; nothing else leaves. */
export function useTryInstruction() {
  const mailbox = useMailboxId();
  const days = useEvidenceDays();
  return useMutation({
    mutationFn: ({ rule, order }: { rule: Schemas['Rule']; order: number }) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/composing/trial', {
          params: { path: { mailbox } },
          body: { rule, order, days },
        }),
      ),
  });
}

/** Once more, or the rule’s own reply in place of the composed one. */
export function useChangeComposed(step: string) {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  const params = { path: { mailbox, step } };
  return useMutation({
    mutationFn: (wanted: 'compose' | 'set aside') =>
      unwrap(
        wanted === 'compose'
          ? api.POST('/api/mailboxes/{mailbox}/steps/{step}/composed', { params })
          : api.DELETE('/api/mailboxes/{mailbox}/steps/{step}/composed', { params }),
      ),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: keys.records(mailbox) }),
        queries.invalidateQueries({ queryKey: keys.sent(mailbox, step) }),
      ]),
  });
}
