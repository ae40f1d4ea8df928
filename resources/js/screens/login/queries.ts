import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { logIn, logInWithCode } from '../../access/session';
import { api, done, unwrap } from '../../api/client';

/** Logs in by either step. What somebody else saw is not shown to the person who logs in. Returns whether a code comes next. */
function useEntering<T>(enter: (queries: QueryClient, with_: T) => Promise<boolean>) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: async (with_: T) => {
            const others = queries.getQueryCache().getAll();
            const waits = await enter(queries, with_);
            if (waits) return true;
            for (const query of others) if (query.queryKey[0] !== 'session') queries.getQueryCache().remove(query);
            return false;
        },
    });
}

export const useLogIn = () => useEntering<{ email: string; password: string }>(logIn);

export const useLogInWithCode = () => useEntering<string>(logInWithCode);

/** The person an invitation is for. */
export function useInvited(secret: string) {
    return useQuery({
        queryKey: ['invited', secret],
        retry: false,
        queryFn: () => unwrap(api.GET('/api/invited/{secret}', { params: { path: { secret } } })),
    });
}

export function useJoin(secret: string) {
    return useMutation({
        mutationFn: (body: { name: string; password: string }) =>
            unwrap(api.POST('/api/invited/{secret}', { params: { path: { secret } }, body })),
        // Whoever was logged in here before no longer is.
        onSuccess: () => window.location.assign('/desk'),
    });
}

export function usePasswordLink() {
    return useMutation({
        mutationFn: (email: string) => done(api.POST('/api/password-links', { body: { email } })),
    });
}

export function useNewPassword() {
    return useMutation({
        mutationFn: (body: { email: string; token: string; password: string }) =>
            done(api.POST('/api/new-password', { body })),
    });
}

export function useNewAddress(secret: string) {
    return useMutation({
        mutationFn: () => done(api.POST('/api/new-address/{secret}', { params: { path: { secret } } })),
    });
}
