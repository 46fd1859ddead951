import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, signIn, signOut, taken } from '../../api/client';

export function useSession() {
  return useQuery({
    queryKey: ['session'],
    queryFn: () => taken(api.GET('/api/session')),
    staleTime: Infinity,
  });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ name, password }: { name: string; password: string }) => signIn(name, password),
    onSuccess: () => queries.invalidateQueries(),
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: signOut,
    onSuccess: () => {
      queries.clear();
      window.location.assign('/');
    },
  });
}
