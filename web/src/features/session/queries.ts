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

export function useAccount() {
  return useQuery({ queryKey: ['account'], queryFn: () => taken(api.GET('/api/account')) });
}

export function useChangePassword() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: { current: string; next: string }) =>
      taken(api.POST('/api/account/password', { body: change })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['account'] }),
  });
}

export function useEndSignIns() {
  const queries = useQueryClient();
  const onSuccess = () => queries.invalidateQueries({ queryKey: ['account'] });
  return {
    end: useMutation({
      mutationFn: (key: string) =>
        taken(api.DELETE('/api/account/sign-ins/{key}', { params: { path: { key } } })),
      onSuccess,
    }),
    endOthers: useMutation({ mutationFn: () => taken(api.DELETE('/api/account/sign-ins')), onSuccess }),
  };
}
