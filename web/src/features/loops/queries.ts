import { useQuery } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

/**
 * Who is sent mail by the rules and whether it comes back; nothing leaves.
 *
 * @param document rules as they would be; those of today where it is missing
 */
export function useLoops(document?: Schemas['RuleBook']) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.loops(mailbox, document),
    queryFn: () =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/loops', {
          params: { path: { mailbox } },
          body: document ? { document } : {},
        }),
      ),
  });
}
