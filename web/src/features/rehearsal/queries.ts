import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** How often one that is under way is asked for, in milliseconds. */
const WATCHED = 400;
/** And where only how far it is matters. */
const LOOKED_AT = 1_500;

/** Begins a rehearsal of other rules; the answer says how it stands. */
export function useBegin() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['RehearsalBegun']) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/rehearsals', { params: { path: { mailbox } }, body })),
    onSuccess: (begun) => {
      queries.setQueryData(keys.rehearsals(mailbox, begun.id), begun);
      void queries.invalidateQueries({ queryKey: keys.rehearsals(mailbox, 'open') });
    },
  });
}

export function useStanding(rehearsal: string | undefined) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.rehearsals(mailbox, rehearsal),
    enabled: rehearsal !== undefined,
    staleTime: Infinity,
    refetchInterval: (query) => (query.state.data?.state === 'RUNNING' ? WATCHED : false),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/rehearsals/{rehearsal}', {
          params: { path: { mailbox, rehearsal: rehearsal ?? '' } },
        }),
      ),
  });
}

export type OpenRehearsal = Schemas['OpenRehearsal'];

/** Those that were begun and not closed, the newest first. */
export function useOpenRehearsals() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.rehearsals(mailbox, 'open'),
    refetchInterval: (query) =>
      query.state.data?.some((one) => one.state === 'RUNNING') === true ? LOOKED_AT : false,
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/rehearsals', { params: { path: { mailbox } } })),
  });
}

/** The rules of one that is open, and what it was called. */
export function useRulesOf(rehearsal: string | undefined) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.rehearsals(mailbox, rehearsal, 'rules'),
    enabled: rehearsal !== undefined,
    staleTime: Infinity,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/rehearsals/{rehearsal}/rules', {
          params: { path: { mailbox, rehearsal: rehearsal ?? '' } },
        }),
      ),
  });
}

/** Cancels or closes one. */
export function useEndRehearsal() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (rehearsal: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/rehearsals/{rehearsal}', {
          params: { path: { mailbox, rehearsal } },
        }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.rehearsals(mailbox, 'open') }),
  });
}

/** Of which number the messages are asked for. */
export interface Asked {
  of: 'CHANGING' | 'FLOW' | 'RULE_BEFORE' | 'RULE_AFTER' | 'NEAR' | 'OVERLAP' | 'AGAIN' | 'TO' | 'REPLIES';
  one?: string;
  other?: string;
  since?: string;
  days?: number;
}

export function useRehearsed(rehearsal: string, asked: Asked, offset: number) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.rehearsals(mailbox, rehearsal, 'messages', asked, offset),
    staleTime: Infinity,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/rehearsals/{rehearsal}/messages', {
          params: { path: { mailbox, rehearsal }, query: { ...asked, offset } },
        }),
      ),
  });
}

/** The whole decision on one message, by the rules of now and by the others. */
export function useBoth(rehearsal: string, message: number) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.rehearsals(mailbox, rehearsal, 'both', message),
    staleTime: Infinity,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/rehearsals/{rehearsal}/messages/{message}', {
          params: { path: { mailbox, rehearsal, message } },
        }),
      ),
  });
}

export function useKept() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.rehearsals(mailbox, 'kept'),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/rehearsals/kept', { params: { path: { mailbox } } })),
  });
}

export function useKeep() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['RehearsalKeeping']) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/rehearsals/kept', { params: { path: { mailbox } }, body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.rehearsals(mailbox, 'kept') }),
  });
}

/** The rules of one that was kept. */
export function useOpenKept() {
  const mailbox = useMailboxId();
  return useMutation({
    mutationFn: (rehearsal: string) =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/rehearsals/kept/{rehearsal}', {
          params: { path: { mailbox, rehearsal } },
        }),
      ),
  });
}

export function useRemoveKept() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (rehearsal: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/rehearsals/kept/{rehearsal}', {
          params: { path: { mailbox, rehearsal } },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.rehearsals(mailbox, 'kept') }),
  });
}
