import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import type { paths } from '../../api/schema';
import { forgetDrafts } from '../../ui/kept';
import { readAsChosen } from '../../words/remembered';

type Chosen = paths['/api/profile']['put']['requestBody']['content']['application/json'];

/** Saves what a person chose for themselves; everything is read anew in it. */
export function useSaveProfile() {
    return useMutation({
        mutationFn: async (body: Chosen) => {
            const session = await unwrap(api.PUT('/api/profile', { body }));
            if (session.user) readAsChosen(session.user);
            return session;
        },
        // Words that were said already are in the units from before.
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
