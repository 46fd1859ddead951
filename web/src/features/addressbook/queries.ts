import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken } from '../../api/client';
import { useMailboxId } from '../mailbox';
import type { GroupView, PersonView } from './model';

/** The people and groups of the mailbox. */
export function useAddressBook() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: ['address book', mailbox],
    enabled: mailbox !== '',
    queryFn: () => taken(api.GET('/api/mailboxes/{mailbox}/address-book', { params: { path: { mailbox } } })),
  });
}

/** After a change: who is known changes what criteria take, too. */
function useChanged() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return () => {
    void queries.invalidateQueries({ queryKey: ['evidence', mailbox] });
    return queries.invalidateQueries({ queryKey: ['address book', mailbox] });
  };
}

export function useSavePerson() {
  const mailbox = useMailboxId();
  const onSuccess = useChanged();
  return useMutation({
    mutationFn: ({ id, written }: PersonView) =>
      taken(
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
      taken(
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
      taken(
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
      taken(
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
      taken(
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
      taken(api.POST('/api/mailboxes/{mailbox}/cards', { params: { path: { mailbox } }, body: { cards } })),
    onSuccess,
  });
}
