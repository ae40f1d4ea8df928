import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';
import { makeStale, zoneKey } from '../../api/stale';

export type Trial = Schema['Trial'];
export type LocalDays = Schema['LocalDays'];

function useForget(zone: string) {
    const queries = useQueryClient();
    return () => makeStale(queries, zone, 'trial-changed');
}

export type Plan = {
    key: string;
    crop: string;
    route: 'direct' | 'transplant';
    measured_in: 'kilograms' | 'stems';
    question: string;
    waves: { name: string; on: string }[];
    varieties: (string | null)[];
    repeats: number;
    beds: { garden: string; name: string }[];
};

export const trialDraft = (zone: string) => `trial-${zone}`;

export function usePlanTrial(zone: string) {
    return useMutation({
        meta: { draft: trialDraft(zone) },
        mutationFn: (body: Plan) => unwrap(api.POST('/api/zones/{zone}/trials', { params: { path: { zone } }, body })),
        onSuccess: useForget(zone),
    });
}

const closeTrial = (trial: number, conclusion: string) =>
    unwrap(api.POST('/api/trials/{trial}/conclusion', { params: { path: { trial } }, body: { conclusion } }));

const reopenTrial = (trial: number) =>
    unwrap(api.DELETE('/api/trials/{trial}/conclusion', { params: { path: { trial } } }));

export function useCloseTrial(zone: string) {
    const saved = useForget(zone);
    return useUndoable({
        send: ({ trial, conclusion }: { trial: Trial; conclusion: string }) => closeTrial(trial.id, conclusion),
        saved,
        done: ({ trial }) => say('notice.trial-closed', { what: trial.name }),
        undo:
            ({ sent: { trial } }) =>
            () =>
                reopenTrial(trial.id).then(saved),
    });
}

/** Undo closes it again, with the conclusion it had. */
export function useReopenTrial(zone: string) {
    const saved = useForget(zone);
    return useUndoable({
        send: ({ id }: Trial) => reopenTrial(id),
        saved,
        done: ({ name }) => say('notice.trial-reopened', { what: name }),
        undo: ({ sent: { id, closed } }) => (closed ? () => closeTrial(id, closed.conclusion).then(saved) : null),
    });
}

/** Adopts local days to maturity, or undoes that; the windows are computed again. */
function useDaysChanged(zone: string) {
    const queries = useQueryClient();
    return async (data: Schema['LocalDaysHere']) => {
        queries.setQueryData(zoneKey(zone, 'log', 'local-days'), data);
        await makeStale(queries, zone, 'computed');
    };
}

export function useTakeDays(zone: string) {
    return useMutation({
        mutationFn: ({ crop, variety, route, held }: LocalDays) =>
            unwrap(
                api.POST('/api/zones/{zone}/local-days', {
                    params: { path: { zone } },
                    body: { crop, variety, route: route as 'direct' | 'transplant', replaces: held?.id ?? null },
                }),
            ),
        onSuccess: useDaysChanged(zone),
    });
}

export function useUndoDays(zone: string) {
    return useMutation({
        mutationFn: (held: number) =>
            unwrap(api.DELETE('/api/zones/{zone}/local-days/{held}', { params: { path: { zone, held } } })),
        onSuccess: useDaysChanged(zone),
    });
}
