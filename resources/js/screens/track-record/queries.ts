import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { zoneKey } from '../../api/stale';

export type TrackRecordData = Schema['TrackRecord'];

/** Time before a zone that is being judged is checked again, ms. */
const AGAIN = 1000;

/** Whether a zone's windows came true; checked again while it is being judged. */
export function useTrackRecord(zone: string, standard: Schema['Standard'] | undefined) {
    return useQuery({
        queryKey: zoneKey(zone, 'windows', 'track-record', standard),
        placeholderData: keepPreviousData,
        retry: false,
        queryFn: () =>
            unwrap(api.GET('/api/zones/{zone}/track-record', { params: { path: { zone }, query: { standard } } })),
        refetchInterval: ({ state }) => (state.data && state.data.windows === null ? AGAIN : false),
    });
}

const seasonKey = (zone: string) => zoneKey(zone, 'windows', 'track-record', 'season');

/** Whether this season's counts did better than the calendar alone; checked again while that is being judged. */
export function useSeasonRecord(zone: string) {
    return useQuery({
        queryKey: seasonKey(zone),
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/track-record/season', { params: { path: { zone } } })),
        refetchInterval: ({ state: { data } }) => (data && data.done > 0 && data.record === null ? 3 * AGAIN : false),
    });
}

/** Has it judged, which takes minutes. */
export function useJudgeSeason(zone: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: () => unwrap(api.POST('/api/zones/{zone}/track-record/season', { params: { path: { zone } } })),
        onSuccess: (data) => {
            queries.setQueryData(seasonKey(zone), data);
            // The first year takes some seconds, and nothing checks before it is done.
            window.setTimeout(() => void queries.invalidateQueries({ queryKey: seasonKey(zone) }), 10 * AGAIN);
        },
    });
}
