import { useQuery } from '@tanstack/react-query';
import { api, taken } from './client';

/** The spots of a zone where soil is measured, and what was read there. */
export function useSoil(zone: string) {
    return useQuery({
        queryKey: ['soil', zone],
        retry: false,
        queryFn: () => taken(api.GET('/api/zones/{zone}/soil', { params: { path: { zone } } })),
    });
}
