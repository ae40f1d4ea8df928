import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schema } from '../../api/client';

export type Cue = Schema['Cue'];

function useChanged(zone: string) {
    const queries = useQueryClient();
    return (cues: Cue[]) => queries.setQueryData(['log', zone, 'cues'], cues);
}

export function useAddCue(zone: string) {
    return useMutation({
        mutationFn: (body: { plant: string; stage: string; note: string | null }) =>
            taken(api.POST('/api/zones/{zone}/cues', { params: { path: { zone } }, body })),
        onSuccess: useChanged(zone),
    });
}

export function useRemoveCue(zone: string) {
    return useMutation({
        mutationFn: (cue: number) =>
            taken(api.DELETE('/api/zones/{zone}/cues/{cue}', { params: { path: { zone, cue } } })),
        onSuccess: useChanged(zone),
    });
}

/** A sighting, of this year or an old one, as a line of the log. */
export function useSighting(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: async ({ cue, on, place }: { cue: number; on: string; place: string }) => {
            const now = Date.now();
            const entry = {
                key: crypto.randomUUID(),
                act: 'seen' as const,
                on,
                cue,
                text: place || null,
                written_at: now,
            };
            const body = { sent_at: now, by: 'desk' as const, entries: [entry] };
            const answer = await taken(api.POST('/api/zones/{zone}/log-entries', { params: { path: { zone } }, body }));
            const [refused] = answer.refused;
            if (refused) throw new Error(refused.message);
        },
        onSuccess: () => queries.invalidateQueries({ queryKey: ['log', zone] }),
    });
}
