import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';
import { useMailboxId } from '../mailbox';

export function useBoxes() {
  return useQuery({
    queryKey: keys.outside('mailboxes'),
    queryFn: () => unwrap(api.GET('/api/outside/mailboxes')),
    refetchInterval: 2000,
  });
}

export function useLetters(address: string | undefined) {
  return useQuery({
    queryKey: keys.outside('letters', address),
    enabled: address !== undefined,
    refetchInterval: 2000,
    queryFn: () =>
      unwrap(api.GET('/api/outside/messages', { params: { query: { address: address ?? '' } } })),
  });
}

export interface LetterAt {
  address: string;
  folder: string;
  uid: number;
}

export function useRaw(at: LetterAt | undefined) {
  return useQuery({
    queryKey: keys.outside('raw', at),
    enabled: at !== undefined,
    queryFn: () =>
      unwrap(api.GET('/api/outside/raw', { params: { query: at as LetterAt }, parseAs: 'text' })),
  });
}

/** What a message says, as plain text. */
export function useText(at: LetterAt | undefined) {
  return useQuery({
    queryKey: keys.outside('text', at),
    enabled: at !== undefined,
    queryFn: () =>
      unwrap(api.GET('/api/outside/text', { params: { query: at as LetterAt }, parseAs: 'text' })),
  });
}

export function useWrite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (written: Schemas['Written']) => unwrap(api.POST('/api/outside/write', { body: written })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.outside() }),
  });
}

export function useDemoClock() {
  return useQuery({
    queryKey: keys.outside('clock'),
    queryFn: () => unwrap(api.GET('/api/outside/clock')),
    refetchInterval: 10_000,
  });
}

/** All that is shown goes by the same clock, so the mailbox is asked for the time again. */
export function useMoveClock() {
  const mailbox = useMailboxId();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (offsetSeconds: number) => unwrap(api.PUT('/api/outside/clock', { body: { offsetSeconds } })),
    onSuccess: (clock) => {
      queries.setQueryData(keys.outside('clock'), clock);
      return queries.invalidateQueries({ queryKey: keys.mailbox(mailbox) });
    },
  });
}

/** What comes in by itself, and how quickly. */
export function useTraffic() {
  return useQuery({
    queryKey: keys.outside('traffic'),
    queryFn: () => unwrap(api.GET('/api/outside/traffic')),
  });
}

export function useChangeTraffic() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (pace: Schemas['Pace']) => unwrap(api.PUT('/api/outside/traffic', { body: pace })),
    onSuccess: (traffic) => queries.setQueryData(keys.outside('traffic'), traffic),
  });
}
