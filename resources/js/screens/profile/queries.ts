import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import type { paths } from '../../api/schema';
import { forgetDrafts } from '../../ui/kept';
import { readAsChosen } from '../../words/remembered';

type Chosen = paths['/api/profile']['put']['requestBody']['content']['application/json'];

/** Saves what a person chose; everything is loaded again with it. */
export function useSaveProfile() {
    return useMutation({
        mutationFn: async (body: Chosen) => {
            const session = await unwrap(api.PUT('/api/profile', { body }));
            if (session.user) readAsChosen(session.user);
            return session;
        },
        // Words already on screen are in the earlier units.
        onSuccess: () => window.location.reload(),
    });
}

export function useLogOut() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: () => api.DELETE('/api/session'),
        onSuccess: () => {
            forgetDrafts();
            queries.clear();
            window.location.assign('/desk/login');
        },
    });
}

export type AccountData = Schema['Account'];

const ACCOUNT = ['account'];

export function useAccount() {
    return useQuery({ queryKey: ACCOUNT, queryFn: () => unwrap(api.GET('/api/profile/account')) });
}

/** A change to the person's account; its new state is known at once. */
function useAccountAct<T>(act: (with_: T) => Promise<AccountData>) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: act,
        onSuccess: (account) => {
            queries.setQueryData(ACCOUNT, account);
            void queries.invalidateQueries({ queryKey: ['session'] });
        },
    });
}

export const useSaveName = () =>
    useAccountAct((name: string) => unwrap(api.PUT('/api/profile/name', { body: { name } })));

export const useAskForAddress = () =>
    useAccountAct((body: { email: string; current_password: string }) =>
        unwrap(api.PUT('/api/profile/email', { body })),
    );

export const useSavePassword = () =>
    useAccountAct((body: { password: string; current_password: string }) =>
        unwrap(api.PUT('/api/profile/password', { body })),
    );

export const useEndLogin = () =>
    useAccountAct((login: number) =>
        unwrap(api.DELETE('/api/profile/logins/{login}', { params: { path: { login } } })),
    );

export const useEndSecondFactor = () =>
    useAccountAct((current_password: string) =>
        unwrap(api.DELETE('/api/profile/second-factor', { body: { current_password } })),
    );

export function useBeginSecondFactor() {
    return useMutation({ mutationFn: () => unwrap(api.POST('/api/profile/second-factor')) });
}

export function useConfirmSecondFactor() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (code: string) => unwrap(api.PUT('/api/profile/second-factor', { body: { code } })),
        onSuccess: () =>
            Promise.all([
                queries.invalidateQueries({ queryKey: ACCOUNT }),
                queries.invalidateQueries({ queryKey: ['session'] }),
            ]),
    });
}

export type Scope = Schema['Scope'];

const TOKENS = ['tokens'];

export function useTokens() {
    return useQuery({ queryKey: TOKENS, queryFn: () => unwrap(api.GET('/api/profile/tokens')) });
}

export function useMakeToken() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: { name: string; scopes: Scope[]; days: 30 | 90 | 365 }) =>
            unwrap(api.POST('/api/profile/tokens', { body })),
        onSuccess: () => queries.invalidateQueries({ queryKey: TOKENS }),
    });
}

export function useEndToken() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (token: number) =>
            unwrap(api.DELETE('/api/profile/tokens/{token}', { params: { path: { token } } })),
        onSuccess: (tokens) => queries.setQueryData(TOKENS, tokens),
    });
}
