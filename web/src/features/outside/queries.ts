import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schemas } from '../../api/client';

export function useBoxes() {
  return useQuery({
    queryKey: ['outside', 'mailboxes'],
    queryFn: () => taken(api.GET('/api/outside/mailboxes')),
    refetchInterval: 2000,
  });
}

export function useLetters(address: string | undefined) {
  return useQuery({
    queryKey: ['outside', 'letters', address],
    enabled: address !== undefined,
    refetchInterval: 2000,
    queryFn: () => taken(api.GET('/api/outside/messages', { params: { query: { address: address ?? '' } } })),
  });
}

export interface LetterAt {
  address: string;
  folder: string;
  uid: number;
}

export function useRaw(at: LetterAt | undefined) {
  return useQuery({
    queryKey: ['outside', 'raw', at],
    enabled: at !== undefined,
    queryFn: () => taken(api.GET('/api/outside/raw', { params: { query: at as LetterAt }, parseAs: 'text' })),
  });
}

export function useWrite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (written: Schemas['Written']) => taken(api.POST('/api/outside/write', { body: written })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['outside'] }),
  });
}

export function useDemoClock() {
  return useQuery({
    queryKey: ['outside', 'clock'],
    queryFn: () => taken(api.GET('/api/outside/clock')),
    refetchInterval: 10_000,
  });
}

export function useMoveClock() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (offsetSeconds: number) => taken(api.PUT('/api/outside/clock', { body: { offsetSeconds } })),
    onSuccess: (clock) => queries.setQueryData(['outside', 'clock'], clock),
  });
}
