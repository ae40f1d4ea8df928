import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { makeStale, zoneKey } from '../../api/stale';

export function useEditions(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'editions'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/editions', { params: { path: { zone } } })),
    });
}

export type Draft = Schema['Draft'];
export type Objection = Schema['Objection'];

/** The next edition as it would be frozen now. */
export function useDraft(zone: string, ready: boolean) {
    return useQuery({
        queryKey: zoneKey(zone, 'draft'),
        enabled: ready,
        retry: false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/draft', { params: { path: { zone } } })),
    });
}

export function useObject(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: { key: string; crop: string; text: string }) =>
            unwrap(api.POST('/api/zones/{zone}/objections', { params: { path: { zone } }, body })),
        onSuccess: () => makeStale(queries, zone, 'objected'),
    });
}

export function useAnswer(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ objection, answer }: { objection: number; answer: string }) =>
            unwrap(
                api.POST('/api/objections/{objection}/answer', { params: { path: { objection } }, body: { answer } }),
            ),
        onSuccess: () => makeStale(queries, zone, 'objected'),
    });
}

export const editionDraft = (zone: string) => `edition-${zone}`;

/** Publishes; returns which publication to follow. */
export function usePublish(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        meta: { draft: editionDraft(zone) },
        mutationFn: (body: {
            note: string;
            key: string;
            even_unchanged: boolean;
            answers: Record<string, string>;
            from: string | null;
            note_in: Record<string, string>;
        }) => unwrap(api.POST('/api/zones/{zone}/editions', { params: { path: { zone } }, body })),
        onSuccess: (publication) => {
            queries.setQueryData(['publication', publication.id], publication);
            return makeStale(queries, zone, 'publishing');
        },
    });
}

/** Signs an edition that waits for it, or withdraws one. */
export function useSign(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (number: number) =>
            unwrap(api.POST('/api/zones/{zone}/editions/{number}/signature', { params: { path: { zone, number } } })),
        onSuccess: () => makeStale(queries, zone, 'published'),
    });
}

export function useWithdraw(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ number, reason }: { number: number; reason: string }) =>
            unwrap(
                api.POST('/api/zones/{zone}/editions/{number}/withdrawal', {
                    params: { path: { zone, number } },
                    body: { reason },
                }),
            ),
        onSuccess: () => makeStale(queries, zone, 'published'),
    });
}

/** Follows the making of an edition's pages until it is current, then loads everything about its zone again. */
export function usePublication(zone: string, id: number | null) {
    const queries = useQueryClient();
    return useQuery({
        queryKey: ['publication', id],
        enabled: id !== null,
        refetchInterval: (query) =>
            ['done', 'failed', 'waiting'].includes(query.state.data?.state ?? '') ? false : 400,
        queryFn: async () => {
            const publication = await unwrap(
                api.GET('/api/publications/{publication}', { params: { path: { publication: id ?? 0 } } }),
            );
            if (publication.state === 'done') await makeStale(queries, zone, 'published');
            return publication;
        },
    });
}
