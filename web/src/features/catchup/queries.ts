import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { asking } from '../../api/asking';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

export type CatchUp = Schemas['CatchUpView'];

/** The newest first. */
export function useCatchUps() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.catchUps(mailbox, 'all'),
    refetchInterval: asking.every(3_000),
    queryFn: () => unwrap(api.GET('/api/mailboxes/{mailbox}/catch-ups', { params: { path: { mailbox } } })),
  });
}

/** Folders with received mail. */
export function useReceivedFolders() {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.folders(mailbox, 'received'),
    queryFn: () =>
      unwrap(api.GET('/api/mailboxes/{mailbox}/catch-ups/folders', { params: { path: { mailbox } } })),
  });
}

function useRenewed() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return () => queries.invalidateQueries({ queryKey: keys.catchUps(mailbox) });
}

/** Reads the folders and lets a person look it over. */
export function useBeginCatchUp() {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (body: Schemas['CatchUpBegun']) =>
      unwrap(api.POST('/api/mailboxes/{mailbox}/catch-ups', { params: { path: { mailbox } }, body })),
    onSuccess: renewed,
  });
}

/** What it would do by the rules of now. */
export function useCatchUpPreview(catchUp: string, handOvers: boolean, replies: boolean) {
  const mailbox = useMailboxId();
  return useQuery({
    queryKey: keys.catchUps(mailbox, 'preview', catchUp, handOvers, replies),
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET('/api/mailboxes/{mailbox}/catch-ups/{catchUp}/preview', {
          params: { path: { mailbox, catchUp }, query: { handOvers, replies } },
        }),
      ),
  });
}

export function useStartCatchUp(catchUp: string) {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  return useMutation({
    mutationFn: (body: Schemas['CatchUpWanted']) =>
      unwrap(
        api.POST('/api/mailboxes/{mailbox}/catch-ups/{catchUp}/start', {
          params: { path: { mailbox, catchUp } },
          body,
        }),
      ),
    onSettled: renewed,
  });
}

export function useChangeCatchUp(catchUp: string) {
  const mailbox = useMailboxId();
  const renewed = useRenewed();
  const params = { path: { mailbox, catchUp } };
  return useMutation({
    mutationFn: (how: 'pause' | 'resume' | 'stop') =>
      unwrap(
        how === 'pause'
          ? api.POST('/api/mailboxes/{mailbox}/catch-ups/{catchUp}/pause', { params })
          : how === 'resume'
            ? api.POST('/api/mailboxes/{mailbox}/catch-ups/{catchUp}/resume', { params })
            : api.POST('/api/mailboxes/{mailbox}/catch-ups/{catchUp}/stop', { params }),
      ),
    onSettled: renewed,
  });
}
