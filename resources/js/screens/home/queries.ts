import { useQueries, useQuery } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import type { paths } from '../../api/schema';

export type Attention = paths['/api/attention']['get']['responses'][200]['content']['application/json']['data'];

export type Matter = Attention['matters'][number];

/** What needs attention in all zones. A zone whose season is not figured yet is requested separately, and appears when it is ready. */
export function useAttention(): { data: Attention | undefined; figuring: number } {
    const { data } = useQuery({ queryKey: ['zones', 'attention'], queryFn: () => unwrap(api.GET('/api/attention')) });
    const open = data?.zones.filter((zone) => !zone.figured).map((zone) => zone.zone) ?? [];
    const figured = useQueries({
        queries: open.map((zone) => ({
            queryKey: ['zones', 'attention', zone],
            queryFn: () => unwrap(api.GET('/api/attention', { params: { query: { zone } } })),
        })),
    });
    if (!data) return { data, figuring: 0 };
    const later = figured.flatMap((one) => (one.data ? [one.data] : []));
    const known = new Set(later.flatMap((one) => one.zones.map((zone) => zone.zone)));
    return {
        data: {
            matters: [
                ...data.matters.filter((matter) => matter.zone === null || !known.has(matter.zone)),
                ...later.flatMap((one) => one.matters.filter((matter) => matter.zone !== null)),
            ],
            zones: data.zones.map(
                (zone) => later.flatMap((one) => one.zones).find((one) => one.zone === zone.zone) ?? zone,
            ),
        },
        figuring: open.length - known.size,
    };
}
