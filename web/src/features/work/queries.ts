import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/** Pauses the first reading of the mailbox, or lets it go on. */
export function useChangeFirstReading() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  const params = { path: { mailbox } };
  return useMutation({
    mutationFn: (how: 'pause' | 'resume') =>
      unwrap(
        how === 'pause'
          ? api.POST('/api/mailboxes/{mailbox}/first-reading/pause', { params })
          : api.POST('/api/mailboxes/{mailbox}/first-reading/resume', { params }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.mailbox(mailbox) }),
  });
}
