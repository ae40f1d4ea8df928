import { useQueryClient } from '@tanstack/react-query';
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
    const queries = useQueryClient();
    const changed = useChanged(zone);
    return useUndoable({
        meta: { draft: cueDraft(zone) },
        send: (body: { plant: string; stage: string; note: string | null }) =>
            unwrap(api.POST('/api/zones/{zone}/cues', { params: { path: { zone } }, body })),
        saved: changed,
        before: () => queries.getQueryData<Cue[]>(zoneKey(zone, 'log', 'cues')),
        done: ({ plant }) => say('notice.added', { what: plant }),
        undo: ({ sent, saved, before }) => {
            // One that was on the list already stays.
            const added = saved.find(
                ({ id, plant, stage }) =>
                    plant === sent.plant && stage === sent.stage && !before?.some((cue) => cue.id === id),
            );
            return before && added ? () => takeOut(zone, added.id).then(changed) : null;
        },
    });
}

const takeOut = (zone: string, cue: number) =>
    unwrap(api.DELETE('/api/zones/{zone}/cues/{cue}', { params: { path: { zone, cue } } }));

export function useRemoveCue(zone: string) {
    const changed = useChanged(zone);
    return useUndoable({
        send: ({ id }: Cue) => takeOut(zone, id),
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
