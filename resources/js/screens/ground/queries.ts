import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { api, unwrap, type Schema } from '../../api/client';
import { makeStale, whenStale, zoneKey } from '../../api/stale';
import { tellDone } from '../../ui/notices';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

export type GroundData = Schema['Ground'];
export type GroundBed = Schema['GroundBed'];
export type Occupancy = Schema['Occupancy'];
export type Fit = Schema['Fit'];
export type SeasonPlan = Schema['SeasonPlan'];
export type BedYield = Schema['BedYield'];

/** Days to look at, both included. */
export type Span = { from: string; to: string };

export type BetweenFit = Schema['BetweenRows']['fits'][number];

/** Without `spares` and `between`, these stay as planned. */
export type Place = {
    bed: number;
    on: string;
    metres: number;
    pinned: boolean;
    spares?: boolean;
    between?: string | null;
};

/** A planting at the version the change is based on: if somebody else changed it in the meantime, it is left alone. */
export type NamedPlanting = Schema['NamedPlanting'];

export type Change = {
    add?: (Place & { key: string; crop: string; variety: string | null; route: 'direct' | 'transplant' })[];
    change?: (Place & NamedPlanting)[];
    remove?: NamedPlanting[];
    restore?: NamedPlanting[];
};

export type Wish = { key: string; crop: string; variety: string | null; metres: number };

export function useGround(zone: string, span: Span) {
    return useQuery({
        queryKey: zoneKey(zone, 'ground', span),
        placeholderData: keepPreviousData,
        retry: false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/ground', { params: { path: { zone }, query: span } })),
    });
}

/**
 * A change moved to the versions that plantings have now: undoing the later change left them as it had found them, and increased their
 * versions.
 */
function atVersionsOf(change: Change, done: Change): Change {
    const now = new Map(
        [...(done.change ?? []), ...(done.remove ?? []), ...(done.restore ?? [])].map(({ id, version }) => [
            id,
            version,
        ]),
    );
    const named = <T extends NamedPlanting>(list: T[] | undefined) =>
        list?.map((one) => ({ ...one, version: now.get(one.id) ?? one.version }));
    return { ...change, change: named(change.change), remove: named(change.remove), restore: named(change.restore) };
}

/** Changes what is planned; each change can be undone, latest first. */
export function usePlantings(zone: string, span: Span) {
    const queries = useQueryClient();
    const undos = useRef<Change[]>([]);
    const send = useMutation({
        mutationFn: (change: Change) =>
            unwrap(api.PUT('/api/zones/{zone}/plantings', { params: { path: { zone }, query: span }, body: change })),
        onSuccess: ({ ground }) => {
            const changed = new Map(ground.beds.map((bed) => [bed.id, bed]));
            queries.setQueryData<GroundData>(
                zoneKey(zone, 'ground', span),
                (now) => now && { ...now, beds: now.beds.map((bed) => changed.get(bed.id) ?? bed) },
            );
            void makeStale(queries, zone, 'planned');
        },
        onError: (error) => whenStale(error, () => makeStale(queries, zone, 'replanned')),
    });
    // The latest change is dropped once it is undone; if the undo was refused, it can be tried again.
    const undo = async () => {
        const last = undos.current.at(-1);
        if (!last) return;
        const answer = await send.mutateAsync(last);
        undos.current.pop();
        undos.current = undos.current.map((earlier) => atVersionsOf(earlier, answer.undo as Change));
    };
    return {
        error: send.error,
        isPending: send.isPending,
        change: (change: Change, done?: () => void) =>
            send.mutate(change, {
                onSuccess: (answer) => {
                    undos.current.push(answer.undo as Change);
                    tellDone(say('notice.planned'), undo, `plantings-${zone}`);
                    done?.();
                },
            }),
        undo: () => void undo().catch(() => {}),
        canUndo: () => undos.current.length > 0,
    };
}

export function useFits(zone: string, bed: number, span: Span) {
    return useQuery({
        queryKey: zoneKey(zone, 'ground', 'fits', bed, span),
        queryFn: () =>
            unwrap(api.GET('/api/zones/{zone}/beds/{bed}/fits', { params: { path: { zone, bed }, query: span } })),
    });
}

/** What fits between the rows of something in a bed. */
export function useBetween(zone: string, bed: number, stay: string, asked: boolean) {
    return useQuery({
        queryKey: zoneKey(zone, 'ground', 'between', bed, stay),
        enabled: asked,
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/beds/{bed}/between', { params: { path: { zone, bed }, query: { stay } } }),
            ),
    });
}

/** Seedlings to raise beside a planned sowing; null if they would not help. */
export function usePlantingSpares(zone: string, { planting, route, from, metres }: Occupancy) {
    return useQuery({
        queryKey: zoneKey(zone, 'ground', 'spares', planting, from, metres),
        enabled: planting !== null && route === 'direct',
        queryFn: () =>
            unwrap(
                api.GET('/api/zones/{zone}/plantings/{planting}/spares', {
                    params: { path: { zone, planting: planting ?? 0 } },
                }),
            ),
    });
}

/** A new secret address for the person's tasks as a calendar. */
export function useTaskFeed(zone: string) {
    return useMutation({
        mutationFn: () => unwrap(api.POST('/api/zones/{zone}/task-feeds', { params: { path: { zone } } })),
    });
}

export function useProposeSeason(zone: string, span: Span) {
    return useMutation({
        mutationFn: (body: { beds: number[]; wishes: Wish[] }) =>
            unwrap(api.POST('/api/zones/{zone}/season-plans', { params: { path: { zone }, query: span }, body })),
    });
}

export type BedValues = {
    garden: string;
    name: string;
    site: string | null;
    length_m: number | null;
    width_m: number | null;
    /** of the bed as it was loaded; a new one has none */
    version?: number;
};

export const bedDraft = (zone: string, bed: number | undefined) => `bed-${zone}-${bed ?? 'new'}`;

export function useSaveBed(zone: string, span: Span, bed: number | undefined) {
    const queries = useQueryClient();
    return useUndoable({
        meta: { draft: bedDraft(zone, bed) },
        send: ({ version = 1, ...body }: BedValues) =>
            bed === undefined
                ? unwrap(api.POST('/api/zones/{zone}/beds', { params: { path: { zone }, query: span }, body }))
                : unwrap(
                      api.PUT('/api/zones/{zone}/beds/{bed}', {
                          params: { path: { zone, bed }, query: span },
                          body: { ...body, version },
                      }),
                  ),
        saved: (ground) => {
            queries.setQueryData(zoneKey(zone, 'ground', span), ground);
            void makeStale(queries, zone, 'bed-saved');
        },
        refused: (error) => whenStale(error, () => makeStale(queries, zone, 'replanned')),
        before: () =>
            queries.getQueryData<GroundData>(zoneKey(zone, 'ground', span))?.beds.find(({ id }) => id === bed),
        done: ({ name }) => say('notice.saved', { what: name }),
        undo: ({ saved, before }, again) => {
            const version = saved.beds.find(({ id }) => id === bed)?.version;
            if (!before || version === undefined) return null;
            const { garden, name, site, length_m, width_m } = before;
            return () => again({ garden, name, site, length_m, width_m, version });
        },
    });
}

export function useBedYields(zone: string) {
    return useQuery({
        queryKey: zoneKey(zone, 'ground', 'worth'),
        retry: false,
        queryFn: () => unwrap(api.GET('/api/zones/{zone}/worth', { params: { path: { zone } } })),
    });
}

/** Saves the person's own price of a crop; null deletes it. */
export function useSavePrice(zone: string) {
    const queries = useQueryClient();
    const row = (crop: string) =>
        queries.getQueryData<BedYield[]>(zoneKey(zone, 'ground', 'worth'))?.find((one) => one.crop === crop);
    return useUndoable({
        send: ({ crop, price }: { crop: string; price: number | null }) =>
            unwrap(api.PUT('/api/prices/{crop}', { params: { path: { crop } }, body: { price } })),
        saved: ({ crop, price }) =>
            queries.setQueryData<BedYield[]>(zoneKey(zone, 'ground', 'worth'), (rows) =>
                rows?.map((row) => (row.crop === crop ? { ...row, price } : row)),
            ),
        before: ({ crop }) => row(crop)?.price ?? null,
        done: ({ crop }) => say('notice.saved', { what: row(crop)?.name ?? crop }),
        undo:
            ({ sent: { crop }, before }, again) =>
            () =>
                again({ crop, price: before }),
    });
}
