import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../../api/client';
import { zoneKey } from '../../api/stale';

export type TrackRecordData = Schema['TrackRecord'];

/** How long it takes until a zone that is being judged is asked for again, ms. */
const AGAIN = 1000;

/** Whether a zone's windows came true; asked again while it is being judged. */
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
