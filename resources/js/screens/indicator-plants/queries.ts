import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { makeStale, zoneKey } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

export type Cue = Schema['Cue'];

function useChanged(zone: string) {
    const queries = useQueryClient();
    return (cues: Cue[]) => {
        queries.setQueryData(zoneKey(zone, 'log', 'cues'), cues);
        void makeStale(queries, zone, 'cue-changed');
    };
}

export const cueDraft = (zone: string) => `cue-${zone}`;

export function useAddCue(zone: string) {
    return useMutation({
        meta: { draft: cueDraft(zone) },
        mutationFn: (body: { plant: string; stage: string; note: string | null }) =>
            unwrap(api.POST('/api/zones/{zone}/cues', { params: { path: { zone } }, body })),
        onSuccess: useChanged(zone),
    });
}

export function useRemoveCue(zone: string) {
    const changed = useChanged(zone);
    return useUndoable({
        send: ({ id }: Cue) =>
            unwrap(api.DELETE('/api/zones/{zone}/cues/{cue}', { params: { path: { zone, cue: id } } })),
        saved: changed,
        done: ({ plant }) => say('notice.deleted', { what: plant }),
        undo:
            ({ sent: { plant, stage, note } }) =>
            async () =>
                changed(
                    await unwrap(
                        api.POST('/api/zones/{zone}/cues', {
                            params: { path: { zone } },
                            body: { plant, stage, note },
                        }),
                    ),
                ),
    });
}
