import { keepPreviousData, useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { api, asForm, unwrap, type Schema } from '../../api/client';
import { makeBookStale, whenStale } from '../../api/stale';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

type Crop = Schema['Crop'];

/** What a crop's cells may hold; it only changes with the application. */
export function useCropColumns() {
    return useQuery({
        queryKey: ['crop-columns'],
        staleTime: Infinity,
        queryFn: () => unwrap(api.GET('/api/crop-columns')),
    });
}

export function useCrop(crop: string | undefined) {
    return useQuery({
        queryKey: ['crops', crop],
        enabled: crop !== undefined,
        queryFn: () => unwrap(api.GET('/api/crops/{crop}', { params: { path: { crop: crop ?? '' } } })),
    });
}

type Cells = Record<string, string>;

/** A crop in a zone as it is, and as it would be with some cells changed. */
export function useCropTrial(crop: string, zone: string, cells: Cells) {
    return useQuery({
        queryKey: ['crops', crop, 'trial', zone, cells],
        enabled: zone !== '',
        retry: false,
        placeholderData: keepPreviousData,
        queryFn: () =>
            unwrap(api.POST('/api/crops/{crop}/trials', { params: { path: { crop } }, body: { zone, cells } })),
    });
}

export const cropDraft = (crop: string) => `crop-${crop}`;

export function useSaveCrop(crop: string) {
    const queries = useQueryClient();
    return useUndoable({
        meta: { draft: cropDraft(crop) },
        send: (body: { cells: Cells; note: string; version: number }) =>
            unwrap(api.PATCH('/api/crops/{crop}', { params: { path: { crop } }, body })),
        saved: () => makeBookStale(queries),
        refused: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
        before: () => queries.getQueryData<Crop>(['crops', crop]),
        done: () => say('notice.saved', { what: queries.getQueryData<Crop>(['crops', crop])?.cells.name ?? crop }),
        undo: ({ sent, saved, before }, again) => {
            if (!before) return null;
            const cells = Object.fromEntries(
                Object.keys(sent.cells).map((column) => [column, before.cells[column] ?? '']),
            );
            return () => again({ cells, note: say('notice.undone'), version: saved.version });
        },
    });
}

export function useRevertCrop(crop: string) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ revision, version }: { revision: number; version: number }) =>
            unwrap(
                api.POST('/api/crops/{crop}/revisions/{revision}', {
                    params: { path: { crop, revision } },
                    body: { version },
                }),
            ),
        onSuccess: () => makeBookStale(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

export function useShippedCrops() {
    return useQuery({ queryKey: ['crops', '', 'shipped'], queryFn: () => unwrap(api.GET('/api/shipped-crops')) });
}

/** Accepts or declines what the table that ships says about a crop. */
export function useSettleShippedCrop() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: ({ slug, version, take }: { slug: string; version: number | null; take: boolean }) =>
            unwrap(
                api.POST('/api/shipped-crops/{slug}', {
                    params: { path: { slug } },
                    body: { take, ...(version === null ? {} : { version }) },
                }),
            ),
        onSuccess: () => makeBookStale(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

export function useImportCrops() {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (file: File) => {
            const body = new FormData();
            body.set('file', file);
            return unwrap(api.POST('/api/crops', asForm(body)));
        },
        onSuccess: () => makeBookStale(queries),
        onError: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
    });
}

type VarietyValues = { id?: number; version?: number; name: string; cells: Cells; tags: string[] };

export const varietyDraft = (crop: string, variety: number | undefined) => `variety-${crop}-${variety ?? 'new'}`;

export function useSaveVariety(crop: string, variety: number | undefined) {
    const queries = useQueryClient();
    return useUndoable({
        meta: { draft: varietyDraft(crop, variety) },
        send: ({ id, ...body }: VarietyValues) =>
            unwrap(
                id === undefined
                    ? api.POST('/api/crops/{crop}/varieties', { params: { path: { crop } }, body })
                    : api.PUT('/api/crops/{crop}/varieties/{variety}', {
                          params: { path: { crop, variety: id } },
                          body,
                      }),
            ),
        saved: () => makeBookStale(queries),
        refused: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
        before: ({ id }) => queries.getQueryData<Crop>(['crops', crop])?.varieties.find((one) => one.id === id),
        done: ({ name }) => say('notice.saved', { what: name }),
        undo: ({ sent, saved, before }, again) => {
            const now = saved.varieties.find(({ name }) => name === sent.name);
            if (!now) return null;
            if (sent.id === undefined) return () => takeOutVariety(queries, crop, now.id);
            return before ? () => again({ ...before, version: now.version }) : null;
        },
    });
}

async function takeOutVariety(queries: QueryClient, crop: string, variety: number) {
    await unwrap(api.DELETE('/api/crops/{crop}/varieties/{variety}', { params: { path: { crop, variety } } }));
    await makeBookStale(queries);
}

export function useTakeOutVariety(crop: string) {
    const queries = useQueryClient();
    return useUndoable({
        send: ({ id }: Crop['varieties'][number]) => takeOutVariety(queries, crop, id),
        saved: () => {},
        refused: (error) => whenStale(error, () => queries.invalidateQueries({ queryKey: ['crops'] })),
        done: ({ name }) => say('notice.deleted', { what: name }),
        undo:
            ({ sent: { name, cells, tags } }) =>
            async () => {
                const body = { name, cells, tags };
                await unwrap(api.POST('/api/crops/{crop}/varieties', { params: { path: { crop } }, body }));
                await makeBookStale(queries);
            },
    });
}
