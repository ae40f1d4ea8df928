import type { QueryClient } from '@tanstack/react-query';
import { Refusal } from './client';

/** The parts of what is known about a zone. */
type Part =
    | 'itself'
    | 'advisories'
    | 'climate'
    | 'draft'
    | 'editions'
    | 'ground'
    | 'harvest-plan'
    | 'imports'
    | 'log'
    | 'quality'
    | 'rain'
    | 'reported-corrections'
    | 'soil'
    | 'station-devices'
    | 'stations'
    | 'today'
    | 'windows';

/** The key of a zone's query. All keys of a zone start alike, so everything about it can be dropped at once. */
export const zoneKey = (zone: string | undefined, part: Part, ...rest: unknown[]) => ['zone', zone, part, ...rest];

/**
 * What a change makes out of date in its zone: the beginnings of the keys to load again; empty: everything about the zone. What the answer
 * to the change contains is set where the change is made.
 */
const STALE = {
    /** something was computed, or is about to be: it was moved, or its days to maturity changed */
    computed: [[]],
    settings: [['itself']],
    chosen: [['windows'], ['draft']],
    logged: [['log'], ['ground'], ['soil']],
    'trial-changed': [['log']],
    'cue-changed': [['log', 'book']],
    planned: [
        ['ground', 'fits'],
        ['ground', 'tasks'],
    ],
    /** by somebody else */
    replanned: [['ground']],
    'bed-saved': [
        ['ground', 'fits'],
        ['ground', 'tasks'],
        ['log', 'book'],
    ],
    decided: [['quality'], ['draft']],
    'stations-changed': [['stations'], ['itself']],
    'devices-changed': [['station-devices']],
    corrected: [['imports']],
    objected: [['draft']],
    publishing: [['editions']],
    published: [['itself'], ['editions'], ['draft']],
    advised: [['advisories']],
} satisfies Record<string, (Part | string)[][]>;

export type ZoneChange = keyof typeof STALE;

/** Loads again what a change makes out of date in a zone, and in the list of zones. */
export async function makeStale(queries: QueryClient, zone: string | undefined, change: ZoneChange) {
    await Promise.all([
        queries.invalidateQueries({ queryKey: ['zones'] }),
        ...STALE[change].map((rest: string[]) => queries.invalidateQueries({ queryKey: ['zone', zone, ...rest] })),
    ]);
}

/** The same for the crop book, which everything in every zone depends on. */
export async function makeBookStale(queries: QueryClient) {
    await Promise.all([
        queries.invalidateQueries({ queryKey: ['crops'] }),
        queries.invalidateQueries({ queryKey: ['zone'] }),
    ]);
}

/** After a stale edit was refused, loads what others made of it, so the form can continue from there. */
export function whenStale(error: Error, refetch: () => unknown) {
    if (error instanceof Refusal && error.status === 409) void refetch();
}
