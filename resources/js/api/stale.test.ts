import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { makeBookStale, makeStale, zoneKey, type ZoneChange } from './stale';

const KEYS: Record<string, unknown[]> = {
    advisories: zoneKey('bench', 'advisories'),
    climate: zoneKey('bench', 'climate', 'used'),
    corrections: zoneKey('bench', 'reported-corrections'),
    cues: zoneKey('bench', 'log', 'cues'),
    devices: zoneKey('bench', 'station-devices'),
    draft: zoneKey('bench', 'draft'),
    editions: zoneKey('bench', 'editions'),
    fits: zoneKey('bench', 'ground', 'fits', 4),
    ground: zoneKey('bench', 'ground', { from: '2026-01-01', to: '2026-12-31' }),
    imports: zoneKey('bench', 'imports'),
    itself: zoneKey('bench', 'itself'),
    'log book': zoneKey('bench', 'log', 'book'),
    quality: zoneKey('bench', 'quality', 1),
    soil: zoneKey('bench', 'soil'),
    stations: zoneKey('bench', 'stations'),
    today: zoneKey('bench', 'today', {}),
    'in the ground': zoneKey('bench', 'log', 'under-way'),
    windows: zoneKey('bench', 'windows', 'radish', {}),
};

async function stale(change: (queries: QueryClient) => Promise<void>): Promise<string[]> {
    const queries = new QueryClient();
    for (const key of [...Object.values(KEYS), ['zones'], ['crops'], zoneKey('floor', 'windows')])
        queries.setQueryData(key, 1);
    await change(queries);
    const isStale = (key: unknown[]) => queries.getQueryState(key)?.isInvalidated === true;
    return [
        ...Object.keys(KEYS).filter((name) => isStale(KEYS[name] ?? [])),
        ...(isStale(['zones']) ? ['all zones'] : []),
        ...(isStale(['crops']) ? ['crops'] : []),
        ...(isStale(zoneKey('floor', 'windows')) ? ['another zone'] : []),
    ];
}

describe('what a change makes stale', () => {
    it.each<[ZoneChange, string[]]>([
        ['logged', ['cues', 'fits', 'ground', 'log book', 'soil', 'in the ground']],
        ['chosen', ['draft', 'windows']],
        ['planned', ['fits']],
        ['bed-saved', ['fits', 'log book']],
        ['published', ['draft', 'editions', 'itself']],
        ['decided', ['draft', 'quality']],
        ['stations-changed', ['itself', 'stations']],
        ['advised', ['advisories']],
        ['computed', Object.keys(KEYS)],
    ])('%s', async (change, names) => {
        expect(await stale((queries) => makeStale(queries, 'bench', change))).toEqual([...names, 'all zones']);
    });

    it('a changed crop: everything of every zone', async () => {
        expect(await stale(makeBookStale)).toEqual([...Object.keys(KEYS), 'crops', 'another zone']);
    });
});
