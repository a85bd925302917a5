import { routes, type SessionView, type SignIn, type VisitorRights, type WelcomeView } from '@hapset/contract';
import { queryOptions, useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export const sessionKeys = {
  session: ['session'] as const,
  welcome: ['welcome'] as const,
  visitor: ['visitor'] as const,
};

/** Who is signed in; fails with not-signed-in when nobody is. */
export const sessionQuery = queryOptions({
  queryKey: sessionKeys.session,
  queryFn: ({ signal }) => call(routes.session, { signal, renew: false }),
  staleTime: 60_000,
});
export const welcomeQuery = queryOptions({
  queryKey: sessionKeys.welcome,
  queryFn: ({ signal }): Promise<WelcomeView> => call(routes.welcome, { signal }),
  staleTime: Infinity,
});
/** What may be done from here without signing in. */
export const visitorQuery = queryOptions({
  queryKey: sessionKeys.visitor,
  queryFn: ({ signal }): Promise<VisitorRights> => call(routes.visitorRights, { signal }),
  staleTime: 60_000,
});

export function useSession(): SessionView | undefined {
  return useQuery(sessionQuery).data;
}

export function useSignIn(): UseMutationResult<SessionView, Error, SignIn> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: SignIn) => call(routes.signIn, { body, renew: false }),
    onSuccess: (session) => client.setQueryData(sessionKeys.session, session),
  });
}

export function useSignOut(): UseMutationResult<unknown, Error, void> {
  const client = useQueryClient();
  return useMutation({ mutationFn: () => call(routes.signOut, { renew: false }), onSettled: () => client.clear() });
}
