import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { whenStale, zoneKey } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

export type Succession = Schema['Succession'];
export type Plan = Schema['SuccessionPlan'];
export type Sowing = Plan['sowings'][number];

/** The unit of a crop. */
export type Unit = 'kg' | 'stems';

/** A crop and how much of it is needed per week, in its own unit. */
export type Want = Schema['HarvestNeed'];

export type Supplied = { want: Want; data: Succession | undefined; error: Error | null };

export function unitOf({ data }: Supplied): Unit {
    return data?.unit ?? 'kg';
}

const planKey = (zone: string) => zoneKey(zone, 'harvest-plan');

/** What the zone’s gardens should produce, as saved in the office. */
export function useHarvestPlan(zone: string) {
    return useQuery({
        queryKey: planKey(zone),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/harvest-plan', { params: { path: { zone } } })),
    });
}

export function useSaveHarvestPlan(zone: string) {
    const queries = useQueryClient();
    return useUndoable({
        send: (body: Schema['HarvestPlan']) =>
            unwrap(api.PUT('/api/zones/{zone}/harvest-plan', { params: { path: { zone } }, body })),
        saved: (plan) => queries.setQueryData(planKey(zone), plan),
        refused: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: planKey(zone) })),
        before: () => queries.getQueryData<Schema['HarvestPlan']>(planKey(zone)),
        done: () => say('notice.harvest-plan'),
        undo: ({ saved, before }, again) => (before ? () => again({ ...before, version: saved.version }) : null),
    });
}

/** Plantings of each crop that supply what is needed, from a day of the year on. */
export function useSupply(zone: string, wants: Want[], on: string, days: number): Supplied[] {
    const found = useQueries({
        queries: wants.map(({ crop, amount }) => ({
            queryKey: zoneKey(zone, 'windows', crop, 'succession', { on, days, amount }),
            retry: false,
            queryFn: () =>
                unwrap(
                    api.GET('/api/zones/{zone}/windows/{crop}/succession', {
                        params: { path: { zone, crop }, query: { on, days, amount } },
                    }),
                ),
        })),
    });
    return wants.map((want, i) => ({ want, data: found[i]?.data, error: found[i]?.error ?? null }));
}
