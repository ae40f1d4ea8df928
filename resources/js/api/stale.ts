import type { QueryClient } from '@tanstack/react-query';
import { Refusal } from './client';

/** What is known of a zone, by what it is about. */
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

/** Where a query of a zone is kept: all that is known of a zone begins alike, so that it can be forgotten at one go. */
export const zoneKey = (zone: string | undefined, part: Part, ...rest: unknown[]) => ['zone', zone, part, ...rest];

/**
 * What a change makes stale of its zone: the beginnings of the keys to fetch again; none: all of the zone. What the answer to the change
 * holds is set where the change is made.
 */
const STALE = {
    /** something was computed, or is to be: it was moved, its days to maturity are others */
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

/** Fetches again what a change makes stale of a zone, and of the list of zones. */
export async function makeStale(queries: QueryClient, zone: string | undefined, change: ZoneChange) {
    await Promise.all([
        queries.invalidateQueries({ queryKey: ['zones'] }),
        ...STALE[change].map((rest: string[]) => queries.invalidateQueries({ queryKey: ['zone', zone, ...rest] })),
    ]);
}

/** The same for the crop book, on which everything of every zone stands. */
export async function makeBookStale(queries: QueryClient) {
    await Promise.all([
        queries.invalidateQueries({ queryKey: ['crops'] }),
        queries.invalidateQueries({ queryKey: ['zone'] }),
    ]);
}

/** After a refusal of a stale edit, what others made of it is fetched, so that the form can go on from there. */
export function whenStale(error: Error, refetch: () => unknown) {
    if (error instanceof Refusal && error.status === 409) void refetch();
}
