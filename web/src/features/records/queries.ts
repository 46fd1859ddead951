import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';
import { useMailboxId } from '../mailbox';

export type State = Schemas['StepView']['state'];
export type Act = Schemas['StepView']['acts'][number];

export function useRecords(states: State[]) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['records', mailbox, states],
    refetchInterval: 3000,
    queryFn: () =>
      taken(
        api.GET('/api/mailboxes/{mailbox}/records', {
          params: { path: { mailbox }, query: { states } },
          querySerializer: (query) =>
            new URLSearchParams({ states: (query.states ?? []).join(',') }).toString(),
        }),
      ),
  });
}

/** How many steps wait for a person. */
export function useWaiting() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['records', mailbox, 'waiting'],
    refetchInterval: 5000,
    queryFn: () =>
      taken(api.GET('/api/mailboxes/{mailbox}/records/waiting', { params: { path: { mailbox } } })),
    select: (waiting) => waiting.steps,
  });
}

export function useAct() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ step, act }: { step: string; act: Act }) =>
      taken(
        api.POST('/api/mailboxes/{mailbox}/steps/{step}/{act}', { params: { path: { mailbox, step, act } } }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: ['records', mailbox] }),
  });
}

/** What a step sent or is to send. */
export function useSent(step: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['sent', mailbox, step],
    retry: false,
    queryFn: () =>
      taken(api.GET('/api/mailboxes/{mailbox}/steps/{step}/sent', { params: { path: { mailbox, step } } })),
  });
}

/** All answers to one writer, the newest first. */
export function useAnswers(writer: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['answers', mailbox, writer],
    queryFn: () =>
      taken(
        api.GET('/api/mailboxes/{mailbox}/answers', { params: { path: { mailbox }, query: { writer } } }),
      ),
  });
}
