import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';
import type { GroupView, PersonView } from './model';

/** The people and groups of the mailbox. */
export function useAddressBook() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.addressBook(mailbox),
    enabled: mailbox !== '',
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/address-book', { params: { path: { mailbox } } })),
  });
}

/** After a change: who is known changes what criteria take, too. */
function useChanged() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: keys.evidence(mailbox) });
    return queries.invalidateQueries({ queryKey: keys.addressBook(mailbox) });
  };
}

export function useSavePerson() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: ({ id, written }: PersonView) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/people/{person}', {
          params: { path: { mailbox, person: id } },
          body: written,
        }),
      ),
    onSuccess,
  });
}

export function useRemovePerson() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (id: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/people/{person}', {
          params: { path: { mailbox, person: id } },
        }),
      ),
    onSuccess,
  });
}

export function useMergePeople() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (people: string[]) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/people/merge', {
          params: { path: { mailbox } },
          body: { people },
        }),
      ),
    onSuccess,
  });
}

export function useSaveGroup() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: ({ id, written }: Omit<GroupView, 'usedBy'>) =>
      unwrap(
        api.PUT('/api/mailboxes/{mailbox}/groups/{group}', {
          params: { path: { mailbox, group: id } },
          body: written,
        }),
      ),
    onSuccess,
  });
}

export function useRemoveGroup() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (id: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/groups/{group}', {
          params: { path: { mailbox, group: id } },
        }),
      ),
    onSuccess,
  });
}

export function useTakeCards() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: (cards: string) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/cards', { params: { path: { mailbox } }, body: { cards } })),
    onSuccess,
  });
}
