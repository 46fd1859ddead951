import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { upload } from '../../api/upload';
import { useMailboxId } from '../mailbox';

export type DocumentView = Schemas['DocumentView'];

/** Files that are kept once and go along with answers. */
export function useDocuments() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.documents(mailbox),
    enabled: mailbox !== '',
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/documents', { params: { path: { mailbox } } })),
  });
}

/** Where a document, or a picture, is to be had. */
export function useDocumentLink(): (id: string) => string {
  const mailbox = useMailboxId();
  return (id) => `/api/mailboxes/${mailbox}/documents/${id}/bytes`;
}

/** A new file, or another one in the place of one that is there. */
export function usePutDocument() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, file }: { id: string; file: File }) =>
      upload<DocumentView>(
        'PUT',
        `/api/mailboxes/${mailbox}/documents/${id}?fileName=${encodeURIComponent(file.name)}`,
        file,
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.templates(mailbox) });
      void queries.invalidateQueries({ queryKey: keys.preview(mailbox) });
      return queries.invalidateQueries({ queryKey: keys.documents(mailbox) });
    },
  });
}

export function useChangeDocument() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...change }: Schemas['DocumentChange'] & { id: string }) =>
      unwrap(
        api.PATCH('/api/mailboxes/{mailbox}/documents/{document}', {
          params: { path: { mailbox, document: id } },
          body: change,
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.documents(mailbox) }),
  });
}

export function useRemoveDocument() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      unwrap(
        api.DELETE('/api/mailboxes/{mailbox}/documents/{document}', {
          params: { path: { mailbox, document: id } },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.documents(mailbox) }),
  });
}
