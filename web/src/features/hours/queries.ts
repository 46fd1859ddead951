import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMemo } from 'react';
import { useMailbox, useMailboxId } from '../mailbox';

/** Opening hours, further hours and closed days of the mailbox. */
export function useHours() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.hours(mailbox),
    enabled: mailbox !== '',
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/hours', { params: { path: { mailbox } } })),
  });
}

/** Time passes though nobody tells. */
const A_MINUTE = 60_000;

/** When each rule with a schedule is active, by its id. */
export function useRuleTimes() {
  const mailbox = useMailboxId();
  const zone = useMailbox().data?.zone ?? 'UTC';
  const { data } = useQuery({
    queryKey: keys.hours(mailbox, 'rules'),
    enabled: mailbox !== '',
    refetchInterval: A_MINUTE,
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/rule-times', { params: { path: { mailbox } } })),
  });
  return useMemo(() => new Map((data ?? []).map((one) => [one.rule, { ...one, zone }])), [data, zone]);
}

/** What is judged by hours is out of date when they change. */
function useChanged() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: keys.evidence(mailbox) });
    void queries.invalidateQueries({ queryKey: keys.timetable(mailbox) });
    return queries.invalidateQueries({ queryKey: keys.hours(mailbox) });
  };
}

interface Written {
  name: string;
  zone: string;
  spans: string[];
}

export function useEffects() {
  const mailbox = useMailboxId();
  return useMutation({
    mutationFn: ({ name, zone, spans }: Written) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/hours/effects', {
          params: { path: { mailbox }, query: { name } },
          body: { zone, spans },
        }),
      ),
  });
}

export function useSaveHours() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: ({ name, zone, spans }: Written) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/hours', {
          params: { path: { mailbox }, query: { name } },
          body: { zone, spans },
        }),
      ),
    onSuccess,
  });
}

export function useRemoveHours() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (name: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/hours', { params: { path: { mailbox }, query: { name } } }),
      ),
    onSuccess,
  });
}

export function useTakeClosedDays() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (body: { name: string; file?: string; text?: string }) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/closed-days', { params: { path: { mailbox } }, body })),
    onSuccess,
  });
}

export function useRemoveClosedDays() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (calendar: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/closed-days/{calendar}', {
          params: { path: { mailbox, calendar } },
        }),
      ),
    onSuccess,
  });
}
