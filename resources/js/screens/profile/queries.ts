import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, unwrap, type Schema } from '../../api/client';
import type { paths } from '../../api/schema';
import { useUndoable } from '../../api/undoable';
import { forgetDrafts } from '../../ui/kept';
import { tellDone } from '../../ui/notices';
import { readAsChosen } from '../../words/remembered';
import { say } from '../../words/words';

type Chosen = paths['/api/profile']['put']['requestBody']['content']['application/json'];

/** In this tab: what a person's choices were before they were saved, while the page loads again. */
const BEFORE = 'anthesis-profile-before';

function remember(before: Chosen) {
    try {
        sessionStorage.setItem(BEFORE, JSON.stringify(before));
    } catch {
        // In a browser that stores nothing, the choices are saved without an undo.
    }
}

/** Once: the next time there is nothing. */
function remembered(): Chosen | null {
    try {
        const before = sessionStorage.getItem(BEFORE);
        sessionStorage.removeItem(BEFORE);
        return before === null ? null : (JSON.parse(before) as Chosen);
    } catch {
        return null;
    }
}

async function saveProfile(body: Chosen) {
    const session = await unwrap(api.PUT('/api/profile', { body }));
    if (session.user) readAsChosen(session.user);
}

/** Saves what a person chose; everything is loaded again with it, and then it can be undone. */
export function useSaveProfile() {
    return useMutation({
        mutationFn: ({ chosen }: { chosen: Chosen; before: Chosen }) => saveProfile(chosen),
        onSuccess: (_, { before }) => {
            remember(before);
            // Words already on screen are in the earlier units.
            window.location.reload();
        },
    });
}

/** After the page was loaded again, shows that the choices are saved, and offers to undo it. */
export function useToldProfile() {
    useEffect(() => {
        const before = remembered();
        if (!before) return;
        tellDone(say('notice.profile'), async () => {
            await saveProfile(before);
            window.location.reload();
        });
    }, []);
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
    return useMutation({ mutationFn: act, onSuccess: (account) => isKnown(queries, account) });
}

function isKnown(queries: QueryClient, account: AccountData) {
    queries.setQueryData(ACCOUNT, account);
    void queries.invalidateQueries({ queryKey: ['session'] });
}

export function useSaveName() {
    const queries = useQueryClient();
    return useUndoable({
        send: (name: string) => unwrap(api.PUT('/api/profile/name', { body: { name } })),
        saved: (account) => isKnown(queries, account),
        before: () => queries.getQueryData<AccountData>(ACCOUNT)?.name,
        done: (name) => say('notice.saved', { what: name }),
        undo: ({ before }, again) => (before === undefined ? null : () => again(before)),
    });
}

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

export type Token = NonNullable<ReturnType<typeof useTokens>['data']>[number];

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
    const saved = (tokens: Token[]) => queries.setQueryData(TOKENS, tokens);
    return useUndoable({
        send: ({ id }: Token) => unwrap(api.DELETE('/api/profile/tokens/{token}', { params: { path: { token: id } } })),
        saved,
        done: ({ name }) => say('notice.token-ended', { what: name }),
        undo:
            ({ sent: { id } }) =>
            () =>
                unwrap(api.POST('/api/profile/tokens/{token}/restoration', { params: { path: { token: id } } })).then(
                    saved,
                ),
    });
}
