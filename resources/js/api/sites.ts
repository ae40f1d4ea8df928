import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useUndoable } from './undoable';
import { USUAL_GROUND } from '../words/grounds';
import { say } from '../words/words';
import { api, done, unwrap, type Schema } from './client';
import { whenStale } from './stale';

/** Queries about growing sites that several screens use. */

export function useSites() {
    return useQuery({ queryKey: ['sites'], queryFn: () => unwrap(api.GET('/api/sites')) });
}

export type Site = Schema['Site'];

type SiteValues = Schema['SiteNumbers'] & {
    id?: number;
    version?: number;
    name: string;
    zone: string | null;
    note: string;
    ground?: Schema['KindOfGround'];
};

/** The ground at a zone's site; at open ground if none is named. */
export function useGround(site: number | undefined): Schema['KindOfGround'] {
    const { data: sites } = useSites();
    return (sites?.find((one) => one.id === site) ?? sites?.[0])?.ground ?? USUAL_GROUND;
}

/** Adds a site, or saves a changed one; every zone may be computed again because of it. The draft it was typed in is discarded. */
export function useSaveSite(draft?: string) {
    const queries = useQueryClient();
    return useUndoable({
        meta: { draft },
        send: ({ id, ...body }: SiteValues) =>
            unwrap(
                id === undefined
                    ? api.POST('/api/sites', { body })
                    : api.PATCH('/api/sites/{site}', { params: { path: { site: id } }, body }),
            ),
        saved: () => queries.invalidateQueries(),
        refused: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['sites'] })),
        before: ({ id }) => queries.getQueryData<Site[]>(['sites'])?.find((site) => site.id === id),
        done: ({ name }) => say('notice.saved', { what: name }),
        undo: ({ sent, saved, before }, again) => {
            if (sent.id === undefined) return () => takeOut(queries, saved.id);
            return before ? () => again({ ...before, note: before.note ?? '', version: saved.version }) : null;
        },
    });
}

/** Deletes a site; undo adds a new one with the same numbers. */
export function useTakeOutSite() {
    const queries = useQueryClient();
    return useUndoable({
        send: (site: Site) => takeOut(queries, site.id),
        saved: () => {},
        done: ({ name }) => say('notice.deleted', { what: name }),
        undo:
            ({ sent: { name, zone, note, ground, air, sun, rate, protection, offset } }) =>
            async () => {
                const body = { name, zone, note, ground, air, sun, rate, protection, offset };
                await unwrap(api.POST('/api/sites', { body }));
                await queries.invalidateQueries();
            },
    });
}

async function takeOut(queries: QueryClient, site: number) {
    await done(api.DELETE('/api/sites/{site}', { params: { path: { site } } }));
    await queries.invalidateQueries();
}

/** A site as readings found it: the one they were compared with, with their offset and rate. */
export function asMeasured(found: Schema['Calibration'], zone: string, name: string, note: string) {
    const { air, sun, protection, ground } = found.site;
    return { name, zone, ground, air, sun, rate: found.rate, protection, offset: found.offset, note };
}
