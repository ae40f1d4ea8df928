import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from './client';

export type Office = Schema['Office'];

export function useOffice() {
    return useQuery({ queryKey: ['office'], queryFn: () => unwrap(api.GET('/api/office')) });
}

/** A draft of an older version is nothing to save over a newer one. */
export const officeDraft = (version: number) => `office-${version}`;

export function useSaveOffice(version: number) {
    const queries = useQueryClient();
    return useMutation({
        meta: { draft: officeDraft(version) },
        mutationFn: (body: Office) => unwrap(api.PUT('/api/office', { body })),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['office'] }),
        onError: () => queries.invalidateQueries({ queryKey: ['office'] }),
    });
}

/** Mail that would have been sent. */
export function useOutbox(may: boolean) {
    return useQuery({
        queryKey: ['outbox'],
        enabled: may,
        queryFn: () => unwrap(api.GET('/api/outbox')),
    });
}
