import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, asForm, unwrap, type Schema, type Zone } from '../../api/client';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';
import type { paths } from '../../api/schema';
import { whenStale } from '../../api/stale';
import { makeStale, zoneKey } from '../../api/stale';

export function useZoneComparison() {
    return useQuery({ queryKey: ['zones', 'comparison'], queryFn: () => unwrap(api.GET('/api/zone-comparison')) });
}

export function useBringBoundaries() {
    const queries = useQueryClient();
    const saved = (boundaries: Schema['ZoneOutline'][]) => queries.setQueryData(['boundaries'], boundaries);
    return useUndoable({
        send: ({ file, key }: { file: File; key: string }) => {
            const form = new FormData();
            form.append('file', file);
            form.append('key', key);
            return unwrap(api.POST('/api/zone-boundaries', asForm(form)));
        },
        saved,
        done: () => say('boundaries.taken'),
        undo:
            ({ sent: { key: upload } }) =>
            () =>
                unwrap(api.DELETE('/api/zone-boundaries/{upload}', { params: { path: { upload } } })).then(saved),
    });
}

type ZoneValues = NonNullable<paths['/api/zones']['post']['requestBody']>['content']['application/json'];

/** A draft of an older version must not be saved over a newer one. */
export const zoneDraft = (slug: string | undefined, version: number | undefined) =>
    `zone-${slug ?? ''}-${version ?? 'new'}`;

/** Creates a zone, or saves a changed one. */
export function useSaveZone(slug: string | undefined, version: number | undefined) {
    const queries = useQueryClient();
    return useUndoable({
        meta: { draft: zoneDraft(slug, version) },
        send: (body: ZoneValues) =>
            unwrap(
                slug === undefined
                    ? api.POST('/api/zones', { body })
                    : api.PATCH('/api/zones/{zone}', { params: { path: { zone: slug } }, body }),
            ),
        saved: (saved) => {
            queries.setQueryData(zoneKey(saved.slug, 'itself'), saved);
            // A zone that was moved has other windows and another climate.
            return makeStale(queries, saved.slug, 'computed');
        },
        refused: (error) => whenStale(error, () => makeStale(queries, slug, 'settings')),
        before: () => (slug === undefined ? undefined : queries.getQueryData<Zone>(zoneKey(slug, 'itself'))),
        done: ({ name }) => say('notice.saved', { what: name }),
        undo: ({ saved, before }, again) => (before ? () => again({ ...before, version: saved.version }) : null),
    });
}
