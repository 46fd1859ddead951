import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { api, taken, type Schemas } from '../../api/client';

const ASK_EVERY = 5_000;

/** What rules of a mailbox told about since the page was opened; asked for now and then. */
export function useNotices(mailbox: string): Schemas['NoticeView'][] {
  const last = useRef<number>(undefined);
  const fresh = useQuery({
    queryKey: ['notices', mailbox],
    refetchInterval: ASK_EVERY,
    refetchIntervalInBackground: true,
    retry: false,
    queryFn: async () => {
      const after = last.current;
      const found = await taken(
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
