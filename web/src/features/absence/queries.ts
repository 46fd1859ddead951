import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';
import { isWhole, type Form } from './model';

/** What is not planned yet. */
export const NEW = '00000000-0000-4000-8000-000000000000';

/** Days pass though nobody tells. */
const A_MINUTE = 60_000;

/** The absences of the mailbox, the earliest first. */
export function useAbsences() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.absences(mailbox),
    enabled: mailbox !== '',
    refetchInterval: A_MINUTE,
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/absences', { params: { path: { mailbox } } })),
  });
}

/** What an absence would have done lately, and what speaks against it. */
export function useLook(id: string, form: Form) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.absences(mailbox, 'look', id, form),
    enabled: isWhole(form),
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/absences/{id}/look', {
          params: { path: { mailbox, id } },
          body: form,
        }),
      ),
  });
}

/** An absence changes the rules, too. */
function useChanged() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: keys.ruleBook(mailbox) });
    void queries.invalidateQueries({ queryKey: keys.records(mailbox) });
    return queries.invalidateQueries({ queryKey: keys.absences(mailbox) });
  };
}

/** Plans a new one, or changes one that is planned. */
export function useKeepAbsence() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: ({ id, form }: { id: string; form: Form }) =>
      unwrap(
        id === NEW
          ? api.POST('/api/mailboxes/{mailbox}/absences', { params: { path: { mailbox } }, body: form })
          : api.PUT('/api/mailboxes/{mailbox}/absences/{id}', {
              params: { path: { mailbox, id } },
              body: form,
            }),
      ),
    onSuccess,
  });
}

export function useEndAbsence() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (id: string) =>
      unwrap(api.DELETE('/api/mailboxes/{mailbox}/absences/{id}', { params: { path: { mailbox, id } } })),
    onSuccess,
  });
}

/** What happened during an absence. */
export function useReturnSummary(id: string) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.absences(mailbox, 'summary', id),
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/absences/{id}/summary', { params: { path: { mailbox, id } } }),
      ),
  });
}

export function useStandIn(token: string) {
  return useQuery({
    queryKey: keys.standIn(token),
    queryFn: () => unwrap(api.GET('/api/stand-in/{token}', { params: { path: { token } } })),
  });
}

export function useAnswerStandIn(token: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (agrees: boolean) =>
      unwrap(api.POST('/api/stand-in/{token}', { params: { path: { token } }, body: { agrees } })),
    onSuccess: (now) => queries.setQueryData(keys.standIn(token), now),
  });
}
