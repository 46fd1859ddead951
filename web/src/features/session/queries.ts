import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, signIn, signOut, unwrap } from '../../api/client';
import { keys } from '../../api/keys';

export function useSession() {
  return useQuery({
    queryKey: keys.session(),
    queryFn: () => unwrap(api.GET('/api/session')),
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
  return useQuery({ queryKey: keys.account(), queryFn: () => unwrap(api.GET('/api/account')) });
}

export function useChangePassword() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: { current: string; next: string }) =>
      unwrap(api.POST('/api/account/password', { body: change })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.account() }),
  });
}

export function useEndSignIns() {
  const queries = useQueryClient();
  const onSuccess = () => queries.invalidateQueries({ queryKey: keys.account() });
  return {
    end: useMutation({
      mutationFn: (key: string) =>
        unwrap(api.DELETE('/api/account/sign-ins/{key}', { params: { path: { key } } })),
      onSuccess,
    }),
    endOthers: useMutation({ mutationFn: () => unwrap(api.DELETE('/api/account/sign-ins')), onSuccess }),
  };
}
