import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { makeStale, zoneKey } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

export type TodayData = Schema['Today'];
export type SeasonAct = Schema['SeasonAct'];
export type Advisory = Schema['Advisory'];

/** What can be done on a day, at which site and confidence level; left out: today, in open ground, at the zone's. */
export type View = { on?: string; site?: number; standard?: Schema['Standard'] };

export function useToday(zone: string, view: View) {
    return useQuery({
        queryKey: zoneKey(zone, 'today', view),
        placeholderData: keepPreviousData,
        retry: false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/today', { params: { path: { zone }, query: view } })),
    });
}

/** Whether ground can be worked today; null without recent rain on record. */
export function useWorkable(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'today', 'workable'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/workable', { params: { path: { zone } } })),
    });
}

/** What can still be planted on a day of the year and come to harvest. */
export function useStillFits(zone: string, on: string, enabled: boolean) {
    return useQuery({
        queryKey: zoneKey(zone, 'today', 'still-fits', on),
        enabled,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/still-fits', { params: { path: { zone }, query: { on } } })),
    });
}

/** The crops the person has seed of. */
export function usePackets() {
    return useQuery({ queryKey: ['packets'], queryFn: () => unwrap(api.GET('/api/packets')) });
}

export function useSavePacket() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ crop, has }: { crop: string; has: boolean }) =>
            unwrap(api.PUT('/api/packets/{crop}', { params: { path: { crop } }, body: { has } })),
        onSuccess: (packets) => queries.setQueryData(['packets'], packets),
    });
}

/** The longest days to maturity with which what is sown, or transplanted, on a day still comes to harvest, by the record. */
export function usePacketDays(zone: string, act: SeasonAct, on: string, view: View) {
    const { crop, route } = act;
    return useQuery({
        queryKey: zoneKey(zone, 'windows', crop, 'packet-days', route, on, view.site, view.standard),
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/windows/{crop}/packet-days', {
                    params: {
                        path: { zone, crop },
                        query: { on, route, site: view.site, standard: view.standard },
                    },
                }),
            ),
    });
}

/** Advisories to gardeners, newest first. */
export function useAdvisories(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'advisories'),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/advisories', { params: { path: { zone } } })),
    });
}

export const advisoryDraft = (zone: string, ground: string | null) => `advisory-${zone}-${ground ?? ''}`;

export function usePublishAdvisory(zone: string, ground: string | null) {
    const queries = useQueryClient();
    return useMutation({
        meta: { draft: advisoryDraft(zone, ground) },
        mutationFn: (body: { key: string; text: string; until: string }) =>
            unwrap(api.POST('/api/zones/{zone}/advisories', { params: { path: { zone } }, body: { ...body, ground } })),
        onSuccess: () => makeStale(queries, zone, 'advised'),
    });
}

export function useWithdrawAdvisory(zone: string) {
    const queries = useQueryClient();
    const saved = () => makeStale(queries, zone, 'advised');
    return useUndoable({
        send: ({ advisory, reason }: { advisory: number; reason: string }) =>
            unwrap(
                api.POST('/api/advisories/{advisory}/withdrawal', {
                    params: { path: { advisory } },
                    body: { reason },
                }),
            ),
        saved,
        done: () => say('notice.advisory-withdrawn'),
        undo:
            ({ sent: { advisory } }) =>
            () =>
                unwrap(api.DELETE('/api/advisories/{advisory}/withdrawal', { params: { path: { advisory } } })).then(
                    saved,
                ),
    });
}
