import { monthDay } from '../../time/days';
import { useDebouncedValue } from '@mantine/hooks';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema, type Zone } from '../../api/client';
import { whenStale } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';
import { unpacked } from '../../charts/packed';
import { makeStale, zoneKey } from '../../api/stale';

/** How to look at a zone's windows: at which site (left out: open ground) and confidence level (left out: the zone's). */
export type View = { site?: number; standard?: Schema['Standard'] };

/** The windows with their ribbons unpacked. */
export type Windows = ReturnType<typeof withRibbons>;

function withRibbons({ crops, ...windows }: Schema['Windows']) {
    return {
        ...windows,
        crops: crops.map(({ routes, ...crop }) => ({
            ...crop,
            routes: routes.map(({ ribbon, ...route }) => ({ ...route, ribbon: ribbon && unpacked(ribbon) })),
        })),
    };
}

export function useWindows(zone: string, view: View = {}) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', view),
        placeholderData: keepPreviousData,
        retry: false,
        queryFn: async () =>
            withRibbons(
                await unwrap(api.GET('/api/zones/{zone}/windows', { params: { path: { zone }, query: view } })),
            ),
    });
}

export function useDossier(zone: string, crop: string, view: View = {}) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, view),
        placeholderData: keepPreviousData,
        queryFn: () =>
            unwrap(api.GET('/api/zones/{zone}/windows/{crop}', { params: { path: { zone, crop }, query: view } })),
    });
}

export function useRuns(zone: string, crop: string, route: 'direct' | 'transplant', site?: number, variety?: number) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'runs', route, site, variety),
        placeholderData: keepPreviousData,
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/windows/{crop}/runs', {
                    params: { path: { zone, crop }, query: { route, site, variety } },
                }),
            ),
    });
}

/** Crops whose last 15 years clearly differ from those before; empty until all are judged. */
export function useTurned(zone: string, standard: Schema['Standard'] | undefined) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', 'turned', standard),
        retry: false,
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/track-record/turned', { params: { path: { zone }, query: { standard } } }),
            ),
    });
}

/** The water that plantings on a day need; null without rain on record. */
export function useSowingWater(zone: string, crop: string, route: 'direct' | 'transplant', on: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'water', route, on),
        placeholderData: keepPreviousData,
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/windows/{crop}/water', {
                    params: { path: { zone, crop }, query: { route, on } },
                }),
            ),
    });
}

/** Seedlings to raise beside a direct sowing that often fails; null if they would not help. */
export function useSpares(zone: string, crop: string, on: string, enabled: boolean) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'spares', on),
        enabled,
        placeholderData: keepPreviousData,
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/windows/{crop}/spares', {
                    params: { path: { zone, crop }, query: { route: 'direct', on } },
                }),
            ),
    });
}

/** What moves a crop's windows most; loaded when somebody looks. */
export function useSensitivity(zone: string, crop: string, route: 'direct' | 'transplant', enabled: boolean) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'sensitivity', route),
        enabled,
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/windows/{crop}/sensitivity', {
                    params: { path: { zone, crop }, query: { route } },
                }),
            ),
    });
}

export function useCropComparison(zone: string, crop: string, standard?: Schema['Standard']) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'compared', standard),
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/windows/{crop}/compared', {
                    params: { path: { zone, crop }, query: { standard } },
                }),
            ),
    });
}

/** What the latest edition of the method changed. */
export function useMethodChanges(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', '', 'method-changes'),
        retry: false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/method-changes', { params: { path: { zone } } })),
    });
}

type Choice = Schema['School'] extends infer School
    ? | {
            school: School;
            reason: string;
            replaces: number | null;
            windows?: { route: 'direct' | 'transplant'; first: string; last: string }[];
        }
      | { undo: number }
    : never;

export const choiceDraft = (zone: string, crop: string) => `choice-${zone}-${crop}`;

/** Follows a method for a crop, or the educator's own dates; or undoes that. */
export function useChoice(zone: string, crop: string) {
    const queries = useQueryClient();
    return useMutation({
        meta: { draft: choiceDraft(zone, crop) },
        mutationFn: (choice: Choice) =>
            unwrap(
                'undo' in choice
                    ? api.DELETE('/api/zones/{zone}/choices/{choice}', {
                          params: { path: { zone, choice: choice.undo } },
                      })
                    : api.POST('/api/zones/{zone}/windows/{crop}/choices', {
                          params: { path: { zone, crop } },
                          body: choice,
                      }),
            ),
        onSuccess: () => makeStale(queries, zone, 'chosen'),
        onError: (error) => whenStale(error, () => makeStale(queries, zone, 'chosen')),
    });
}

/** Has a zone computed at a site. */
export function useCompute(zone: string, onComputing: (computation: number) => void) {
    return useMutation({
        mutationFn: (site: number) =>
            unwrap(api.POST('/api/zones/{zone}/computations', { params: { path: { zone } }, body: { site } })),
        onSuccess: (computation) => onComputing(computation.id),
    });
}

export function useChooseMethod(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useUndoable({
        send: (method: {
            standard: Schema['Standard'];
            light: Schema['Light'];
            waits_for_soil?: boolean;
            waits_for_ground?: boolean;
            version: number;
        }) => unwrap(api.PUT('/api/zones/{zone}/method', { params: { path: { zone } }, body: method })),
        saved: async (computation) => {
            await makeStale(queries, zone, 'settings');
            onComputing(computation.id);
        },
        refused: (error) => whenStale(error, () => makeStale(queries, zone, 'settings')),
        before: () => queries.getQueryData<Zone>(zoneKey(zone, 'itself')),
        done: () => say('notice.method'),
        undo: ({ sent, before }, again) => {
            if (!before) return null;
            const { standard, light, waits_for_soil, waits_for_ground } = before;
            // The answer is about the computation that follows; the edit increased the version by one.
            return () => again({ standard, light, waits_for_soil, waits_for_ground, version: sent.version + 1 });
        },
    });
}

/** Plantings for a continuous harvest, from a day of the year on. */
export function useSuccession(
    zone: string,
    crop: string,
    query: {
        on: string;
        days: number;
        amount?: number;
        route: 'direct' | 'transplant';
        standard?: Schema['Standard'];
    },
) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'succession', query),
        placeholderData: keepPreviousData,
        retry: false,
        queryFn: () =>
            unwrap(api.GET('/api/zones/{zone}/windows/{crop}/succession', { params: { path: { zone, crop }, query } })),
    });
}

/** How long the cursor must rest before the server is asked about its date, ms. */
const REST = 250;

/** The date where the cursor rests, for questions to the server: moving through the year asks nothing. */
export function useRestingDate(day: number): string {
    const [on] = useDebouncedValue(monthDay(day), REST);
    return on;
}
