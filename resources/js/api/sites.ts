import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from './client';
import { USUAL_GROUND } from '../words/grounds';
import { whenStale } from './stale';

/** What several screens ask of sites. */

export function useSites() {
    return useQuery({ queryKey: ['sites'], queryFn: () => unwrap(api.GET('/api/sites')) });
}

type SiteValues = Schema['SiteNumbers'] & {
    id?: number;
    version?: number;
    name: string;
    zone: string | null;
    note: string;
    ground?: Schema['KindOfGround'];
};

/** The ground of a zone's site; of open ground where none is named. */
export function useGround(site: number | undefined): Schema['KindOfGround'] {
    const { data: sites } = useSites();
    return (sites?.find((one) => one.id === site) ?? sites?.[0])?.ground ?? USUAL_GROUND;
}

/** Adds a site, or saves a changed one; every zone may be computed anew for it. A draft it was typed as is one no more. */
export function useSaveSite(draft?: string) {
    const queries = useQueryClient();
    return useMutation({
        meta: { draft },
        mutationFn: ({ id, ...body }: SiteValues) =>
            unwrap(
                id === undefined
                    ? api.POST('/api/sites', { body })
                    : api.PATCH('/api/sites/{site}', { params: { path: { site: id } }, body }),
            ),
        onSuccess: () => queries.invalidateQueries(),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['sites'] })),
    });
}

/** A site as readings found it: the one they were held against, with their offset and rate. */
export function asMeasured(found: Schema['Calibration'], zone: string, name: string, note: string) {
    const { air, sun, protection, ground } = found.site;
    return { name, zone, ground, air, sun, rate: found.rate, protection, offset: found.offset, note };
}
