import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Computation } from './client';
import { makeStale, zoneKey } from './stale';

/** Queries about zones that several screens use. Keys start with what they are about, so a change shows everywhere. */

export function useZones() {
    return useQuery({ queryKey: ['zones'], queryFn: () => unwrap(api.GET('/api/zones')) });
}

export function useZone(zone: string | undefined) {
    return useQuery({
        queryKey: zoneKey(zone, 'itself'),
        enabled: zone !== undefined,
        // While it is being computed, by anyone, look again.
        refetchInterval: (query) =>
            ['queued', 'running'].includes(query.state.data?.computation?.state ?? '') ? 2000 : false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}', { params: { path: { zone: zone ?? '' } } })),
    });
}

export function isOver(computation: Computation | undefined): boolean {
    return computation !== undefined && ['done', 'failed', 'cancelled'].includes(computation.state);
}

/** Follows a computation until it is done, then loads everything about its zone again. */
export function useComputation(zone: string, id: number | null) {
    const queries = useQueryClient();
    return useQuery({
        queryKey: ['computation', id],
        enabled: id !== null,
        refetchInterval: (query) => (isOver(query.state.data) ? false : 300),
        queryFn: async () => {
            const computation = await unwrap(
                api.GET('/api/computations/{computation}', { params: { path: { computation: id ?? 0 } } }),
            );
            if (isOver(computation)) await makeStale(queries, zone, 'computed');
            return computation;
        },
    });
}

export function useCancel() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (computation: number) =>
            unwrap(api.DELETE('/api/computations/{computation}', { params: { path: { computation } } })),
        onSuccess: (computation) => queries.invalidateQueries({ queryKey: ['computation', computation.id] }),
    });
}

/** The climate of a zone, with its ruler; for some of its years, if a period is given. */
export function useClimate(zone: string, period?: { from: number; to: number }, enabled = true) {
    return useQuery({
        enabled,
        queryKey: zoneKey(zone, 'climate', period ?? 'used'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/climate', { params: { path: { zone }, query: period } })),
    });
}

/** A zone's rain, snow, and when its ground can be worked; null without rain on record. */
export function useRain(zone: string, period?: { from: number; to: number }) {
    return useQuery({
        queryKey: zoneKey(zone, 'rain', period),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/rain', { params: { path: { zone }, query: period } })),
    });
}

export function useStations(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'stations'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/stations', { params: { path: { zone } } })),
    });
}

export function useBoundaries() {
    return useQuery({ queryKey: ['boundaries'], queryFn: () => unwrap(api.GET('/api/zone-boundaries')) });
}
