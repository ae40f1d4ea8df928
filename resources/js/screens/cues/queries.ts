import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Schema } from '../../api/client';

export type Cue = Schema['Cue'];

function useChanged(zone: string) {
    const queries = useQueryClient();
    return (cues: Cue[]) => queries.setQueryData(['log', zone, 'cues'], cues);
}

export const cueDraft = (zone: string) => `cue-${zone}`;

export function useAddCue(zone: string) {
    return useMutation({
        meta: { draft: cueDraft(zone) },
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
