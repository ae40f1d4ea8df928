import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, taken, type Computation } from '../api/client';

/** What the screens ask the server for. Each fact has one key, so that a change is seen everywhere. */

export function useSession() {
    return useQuery({ queryKey: ['session'], queryFn: () => taken(api.GET('/api/session')) });
}

export function useZones() {
    return useQuery({ queryKey: ['zones'], queryFn: () => taken(api.GET('/api/zones')) });
}

export function useZoneComparison() {
    return useQuery({ queryKey: ['zones', 'comparison'], queryFn: () => taken(api.GET('/api/zone-comparison')) });
}

export function useZone(zone: string | undefined) {
    return useQuery({
        queryKey: ['zone', zone],
        enabled: zone !== undefined,
        queryFn: () => taken(api.GET('/api/zones/{zone}', { params: { path: { zone: zone ?? '' } } })),
    });
}

export function useWindows(zone: string) {
    return useQuery({
        queryKey: ['windows', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/windows', { params: { path: { zone } } })),
    });
}

export function useClimate(zone: string) {
    return useQuery({
        queryKey: ['climate', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/climate', { params: { path: { zone } } })),
    });
}

export function useCropSheet(zone: string, crop: string | null) {
    return useQuery({
        queryKey: ['windows', zone, crop],
        enabled: crop !== null,
        queryFn: () =>
            taken(api.GET('/api/zones/{zone}/windows/{crop}', { params: { path: { zone, crop: crop ?? '' } } })),
    });
}

export function useEditions(zone: string) {
    return useQuery({
        queryKey: ['editions', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/editions', { params: { path: { zone } } })),
    });
}

export function useRecordImports(zone: string) {
    return useQuery({
        queryKey: ['imports', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/record-imports', { params: { path: { zone } } })),
    });
}

export function isOver(computation: Computation | undefined): boolean {
    return computation?.state === 'done' || computation?.state === 'failed';
}

/** Follows a computation until it is over, then lets everything of its zone be fetched anew. */
export function useComputation(zone: string, id: number | null) {
    const queries = useQueryClient();
    return useQuery({
        queryKey: ['computation', id],
        enabled: id !== null,
        refetchInterval: (query) => (isOver(query.state.data) ? false : 300),
        queryFn: async () => {
            const computation = await taken(
                api.GET('/api/computations/{computation}', { params: { path: { computation: id ?? 0 } } }),
            );
            if (isOver(computation)) await forgetZone(queries, zone);
            return computation;
        },
    });
}

export function useQuality(zone: string) {
    return useQuery({
        queryKey: ['quality', zone],
        queryFn: () => taken(api.GET('/api/zones/{zone}/quality', { params: { path: { zone } } })),
    });
}

type Decision = { date: string; element: 'minimum' | 'maximum'; accepted: boolean; note: string } | { undo: number };

/** Decides on a value, or undoes a decision; tells which computation follows. */
export function useDecision(zone: string, onComputing: (computation: number) => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (decision: Decision) =>
            taken(
                'undo' in decision
                    ? api.DELETE('/api/zones/{zone}/quality/{decision}', {
                          params: { path: { zone, decision: decision.undo } },
                      })
                    : api.POST('/api/zones/{zone}/quality', { params: { path: { zone } }, body: decision }),
            ),
        onSuccess: async (computation) => {
            await queries.invalidateQueries({ queryKey: ['quality', zone] });
            onComputing(computation.id);
        },
    });
}

export function usePublish(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (note: string) =>
            taken(api.POST('/api/zones/{zone}/editions', { params: { path: { zone } }, body: { note } })),
        onSuccess: () => forgetZone(queries, zone),
    });
}

async function forgetZone(queries: ReturnType<typeof useQueryClient>, zone: string) {
    await Promise.all([
        queries.invalidateQueries({ queryKey: ['zones'] }),
        queries.invalidateQueries({ queryKey: ['zone', zone] }),
        queries.invalidateQueries({ queryKey: ['windows', zone] }),
        queries.invalidateQueries({ queryKey: ['climate', zone] }),
        queries.invalidateQueries({ queryKey: ['quality', zone] }),
        queries.invalidateQueries({ queryKey: ['editions', zone] }),
        queries.invalidateQueries({ queryKey: ['imports', zone] }),
    ]);
}
