import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { WaterToday } from './WaterToday';

const due = (water: Partial<Schema['WaterDue']>): Schema['WaterDue'] => ({
    of: 29,
    now: 0,
    day: null,
    mm: 0,
    since: null,
    rained: null,
    up: true,
    ...water,
});

const sowing = (name: string, litres: number | null, water: Partial<Schema['WaterDue']>) => ({
    key: name,
    name,
    variety: null,
    metres: null,
    litres,
    water: due(water),
});

const BEDS: Schema['BedWater'][] = [
    {
        bed: { garden: 'School', name: 'Bed 1', site: null },
        ground: 'loam',
        last: '2026-06-14',
        sowings: [
            sowing('Radish', 24, { now: 29, day: '2026-06-18', mm: 10, since: '2026-06-16' }),
            sowing('Carrot', null, { now: 15, day: '2026-06-18', mm: 5, up: false }),
        ],
    },
    {
        bed: null,
        ground: 'loam',
        last: null,
        sowings: [sowing('Kale', null, { day: '2026-06-20', mm: 12, rained: '2026-06-15' }), sowing('Beet', null, {})],
    },
];

describe('Water today', () => {
    it('tells when, how much and why, sowing by sowing', async () => {
        fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/bench/water-due': BEDS });
        show(<WaterToday zone="bench" today="2026-06-18" />);
        const rows = await waitFor(() => {
            const found = screen.getAllByRole('row');
            expect(found.length).toBe(5);
            return found.slice(1).map((row) => [...row.children].map((cell) => cell.textContent));
        });
        expect(rows).toEqual([
            ['Bed 1', 'Radish', 'Due since 16 Jun', '10.0 mm, 24.0 L on the row', '14 Jun Log it as watered'],
            [
                '',
                'Carrot',
                'Due today. 15 of 29 years say today. Keep the top of the soil moist until it is up',
                '5.0 mm',
                ' ',
            ],
            ['No bed given', 'Kale', 'In 2 days, about 20 Jun. Rain did it on 15 Jun', '12.0 mm', 'Not logged '],
            ['', 'Beet', 'Not within three weeks', '', ' '],
        ]);
    });

    it('logs a bed as watered with one press', async () => {
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench/water-due': BEDS,
            'POST /api/zones/bench/log-entries': { kept: [], refused: [], clock_minutes: 0 },
        });
        show(<WaterToday zone="bench" today="2026-06-18" />);
        fireEvent.click(await screen.findByRole('button', { name: 'Log it as watered: Bed 1' }));
        await waitFor(() => expect(asked.some(({ what }) => what.startsWith('POST'))).toBe(true));
        const sent = asked.find(({ what }) => what.startsWith('POST'))?.body as { entries: object[] };
        expect(sent.entries[0]).toMatchObject({ act: 'watered', on: '2026-06-18', garden: 'School', bed: 'Bed 1' });
    });

    it('says nothing where nothing is known', async () => {
        const asked = fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/bench/water-due': [] });
        const { container } = show(<WaterToday zone="bench" today="2026-06-18" />);
        await waitFor(() => expect(asked.some(({ what }) => what.includes('water-due'))).toBe(true));
        expect(container.querySelector('section')).toBeNull();
    });
});
