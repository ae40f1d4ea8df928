import { describe, expect, it } from 'vitest';
import { waitFor } from '@testing-library/react';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { GroundNow } from './GroundNow';

type Told = [ground: string, today: number, half: string | null, most: string | null];

async function read(grounds: Told[] | null): Promise<string> {
    fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/workable': grounds && {
            of: 29,
            grounds: grounds.map(([ground, today, half, most]) => ({ ground, today, fit: 2 * today > 29, half, most })),
        },
    });
    const { container } = show(<GroundNow zone="bench" />);
    const told = () => container.querySelector('p')?.textContent ?? '';
    if (grounds) await waitFor(() => expect(told()).not.toBe(''));
    return told().replace(/\s+/g, ' ').trim();
}

describe('Ground today', () => {
    it('is told at once where all of it can be worked, or none', async () => {
        expect(await read([['sand', 29, '2026-04-18', '2026-04-18']])).toBe(
            'The ground is fit to dig and plant, sand to clay.',
        );
        expect(await read([['sand', 0, null, null]])).toBe(
            'No ground is fit to dig or plant today: it is wet, frozen, or under snow. Sand: not within four months.',
        );
    });

    it('is told with when the rest likely can, alike together', async () => {
        expect(
            await read([
                ['sandy loam', 29, '2026-04-18', '2026-04-18'],
                ['loam', 15, '2026-04-18', '2026-04-18'],
                ['silt loam', 14, '2026-04-21', '2026-04-21'],
                ['clay', 0, '2026-04-24', '2026-05-02'],
                ['bed mix', 0, '2026-04-24', '2026-05-02'],
                ['sand', 0, '2026-05-24', null],
            ]),
        ).toBe(
            'Sandy loam and loam: fit to dig and plant today. Silt loam: likely by 21 Apr. ' +
                'Clay and bed mix: about even odds by 24 Apr, 9 in 10 by 2 May. Sand: about even odds by 24 May.',
        );
    });
});
