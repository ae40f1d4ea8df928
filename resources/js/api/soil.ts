import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';
import { zoneKey } from './stale';

/** The spots of a zone where soil is measured, and their readings. */
export function useSoil(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'soil'),
        retry: false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/soil', { params: { path: { zone } } })),
    });
}
