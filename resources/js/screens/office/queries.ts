import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schema } from '../../api/client';

export type Office = Schema['Office'];

export function useOffice() {
    return useQuery({ queryKey: ['office'], queryFn: () => taken(api.GET('/api/office')) });
}

export function useSaveOffice() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: Office) => taken(api.PUT('/api/office', { body })),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['office'] }),
        onError: () => queries.invalidateQueries({ queryKey: ['office'] }),
    });
}

/** Mail that would have been sent. */
export function useOutbox(may: boolean) {
    return useQuery({
        queryKey: ['outbox'],
        enabled: may,
        queryFn: () => taken(api.GET('/api/outbox')),
    });
}
