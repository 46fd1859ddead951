import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schemas } from '../../api/client';
import { keys } from '../../api/keys';

/** A message that was handed on, for whoever has it. */
export function useHandedOn(token: string) {
  return useQuery({
    queryKey: keys.handedOn(token),
    queryFn: () => unwrap(api.GET('/api/handed-on/{token}', { params: { path: { token } } })),
  });
}

export function useSay(token: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (said: Schemas['HandedOnAnswer']['said']) =>
      unwrap(api.POST('/api/handed-on/{token}', { params: { path: { token } }, body: { said } })),
    onSuccess: (now) => queries.setQueryData(keys.handedOn(token), now),
  });
}
