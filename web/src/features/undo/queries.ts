import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

export type UndoRequest = Schemas['UndoRequest'];

/** What of it can be undone as things are now. */
export function useUndoPreview(request: UndoRequest) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.undo(mailbox, request),
    gcTime: 0,
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/undo/preview', { params: { path: { mailbox } }, body: request }),
      ),
  });
}

export function useUndo() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (request: UndoRequest) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/undo', { params: { path: { mailbox } }, body: request })),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: keys.records(mailbox) }),
        queries.invalidateQueries({ queryKey: keys.catchUps(mailbox) }),
        queries.invalidateQueries({ queryKey: keys.undo(mailbox) }),
      ]),
  });
}
