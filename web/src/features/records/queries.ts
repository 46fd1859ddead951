import {
  keepPreviousData,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { asking } from '../../api/asking';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';
import type { Filter } from './filter';

export type State = Schemas['StepView']['state'];
export type Act = Schemas['StepView']['acts'][number];

/** The newest in some states. */
export function useRecords(states: State[]) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.records(mailbox, states),
    refetchInterval: asking.every(3_000),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/records', {
          params: { path: { mailbox }, query: { states, limit: 500 } },
          querySerializer: () => new URLSearchParams({ states: states.join(','), limit: '500' }).toString(),
        }),
      ),
    select: (page) => page.records,
  });
}

/** All that is asked for, a page at a time, with the changes of rules and templates in between. */
export function useRecordPages(filter: Filter) {
  const mailbox = useMailboxId();
  return useInfiniteQuery({
    queryKey: keys.records(mailbox, 'pages', filter),
    placeholderData: keepPreviousData,
    refetchInterval: asking.every(3_000),
    initialPageParam: '',
    queryFn: ({ pageParam }) =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/records', {
          params: { path: { mailbox }, query: { after: pageParam } },
          querySerializer: () =>
            new URLSearchParams({ ...filter, ...(pageParam && { after: pageParam }) }).toString(),
        }),
      ),
    getNextPageParam: (page) => page.next,
  });
}

/** How many are asked for, up to 10,000. */
export function useRecordCount(filter: Filter) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.records(mailbox, 'count', filter),
    placeholderData: keepPreviousData,
    refetchInterval: asking.every(10_000),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/records/count', {
          params: { path: { mailbox }, query: {} },
          querySerializer: () => new URLSearchParams(filter).toString(),
        }),
      ),
  });
}

/** Where the same are as comma-separated values. */
export function useCsvAddress(filter: Filter): string {
  return `/api/mailboxes/${useMailboxId()}/records/csv?${new URLSearchParams(filter).toString()}`;
}

/** Answers that were withheld while the message left the inbox, and that nobody has seen to, the newest first. */
export function useUnanswered(days: number) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.records(mailbox, 'unanswered', days),
    refetchInterval: asking.every(5_000),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/records/unanswered', {
          params: { path: { mailbox }, query: { days } },
        }),
      ),
  });
}

/** Messages that came back as nobody dealt with them, or were not for who had them, the newest first. */
export function useBroughtBack(days: number) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.records(mailbox, 'brought back', days),
    refetchInterval: asking.every(5_000),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/records/brought-back', {
          params: { path: { mailbox }, query: { days } },
        }),
      ),
  });
}

/** What is to leave and waits for a person, a destination or its time; what has waited longest comes first. */
export function useAllWaiting() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.records(mailbox, 'all waiting'),
    refetchInterval: asking.every(3_000),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/waiting', { params: { path: { mailbox } } })),
  });
}

/** How much may leave within an hour, and what that would have held of past mail. */
export function useLimits() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.limits(mailbox),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/limits', { params: { path: { mailbox } } })),
  });
}

/** Where a person is told by mail, each working day, what waits. */
export function useDailyMail() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.digest(mailbox),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/digest', { params: { path: { mailbox } } })),
  });
}

/** With no address, they are told no more. */
export function useChangeDailyMail() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  const params = { path: { mailbox } };
  return useMutation({
    mutationFn: (address: string | undefined) =>
      unwrap(
        address === undefined
          ? api.DELETE('/api/mailboxes/{mailbox}/digest', { params })
          : api.PUT('/api/mailboxes/{mailbox}/digest', { params, body: { address } }),
      ),
    onSuccess: (now) => queries.setQueryData(keys.digest(mailbox), now),
  });
}

/** The same act for several. */
export function useActOnSeveral() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ steps, act }: { steps: string[]; act: Act }) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/waiting/{act}', {
          params: { path: { mailbox, act } },
          body: steps,
        }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.records(mailbox) }),
  });
}

/** Other words for a reply that waits for a person. */
export function useEdit(step: string) {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (words: { subject: string; text: string }) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/steps/{step}/words', {
          params: { path: { mailbox, step } },
          body: words,
        }),
      ),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: keys.records(mailbox) }),
        queries.invalidateQueries({ queryKey: keys.sent(mailbox, step) }),
      ]),
  });
}

/** How many steps wait for a person. */
export function useWaiting() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.records(mailbox, 'waiting'),
    refetchInterval: asking.every(5_000),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/records/waiting', { params: { path: { mailbox } } })),
    select: (waiting) => waiting.steps,
  });
}

export function useAct() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ step, act }: { step: string; act: Act }) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/steps/{step}/{act}', { params: { path: { mailbox, step, act } } }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.records(mailbox) }),
  });
}

/**
 * What a step sent or is to send.
 *
 * @param progress of composing it, with which it changes
 */
export function useSent(step: string, progress?: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.sent(mailbox, step, progress),
    retry: false,
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/steps/{step}/sent', { params: { path: { mailbox, step } } })),
  });
}

/** All replies to one sender, the newest first. */
export function useAnswers(sender: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.answers(mailbox, sender),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/answers', { params: { path: { mailbox }, query: { sender } } }),
      ),
  });
}
