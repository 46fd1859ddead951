import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { asking } from '../../api/asking';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';

/** What rules of a mailbox shown as a notice since the page was opened; asked for now and then. */
export function useNotices(mailbox: string): Schemas['NoticeView'][] {
  const last = useRef<number>(undefined);
  const fresh = useQuery({
    queryKey: keys.notices(mailbox),
    refetchInterval: asking.every(5_000),
    refetchIntervalInBackground: true,
    retry: false,
    queryFn: async () => {
      const after = last.current;
      const found = await unwrap(
        api.GET('/api/mailboxes/{mailbox}/notices', {
          params: { path: { mailbox }, query: after === undefined ? {} : { after } },
        }),
      );
      last.current = found.last;
      return found.notices;
    },
  });
  return fresh.data ?? [];
}
