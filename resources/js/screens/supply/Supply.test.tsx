import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, show } from '../../testing';
import type { Supplied } from './queries';
import { Supply } from './Supply';
import { hungerAndGlut, weekly } from './weeks';

const plan = (sowings: { on: string; after: number; first: number; last: number; metres: number | null }[]) => ({
    sowings,
    years: 30,
    usual: [],
    low: [],
    middle: [],
    high: [],
    gaps: [],
    gluts: [],
});

const RADISH = {
    from: '04-18',
    days: 180,
    interval: 10,
    yield_kg_per_m: 1.5,
    even: plan([
        { on: '04-18', after: 0, first: 28, last: 41, metres: 1.3 },
        { on: '05-02', after: 14, first: 42, last: 55, metres: 1.4 },
        { on: '06-20', after: 63, first: 84, last: 97, metres: 1.2 },
    ]),
    fixed: plan([]),
};

const supplied: Supplied = { want: { crop: 'radish', kg: 2 }, data: RADISH, error: null };

describe('supply', () => {
    it('gives what is wanted in each week a sowing is picked, and nothing of one that was missed', () => {
        expect(weekly(supplied, 'even', new Set())).toEqual([0, 0, 0, 0, 2, 2, 2, 2, 0, 0, 0, 0, 2, 2]);
        expect(weekly(supplied, 'even', new Set(['radish even 14']))).toEqual([
            0, 0, 0, 0, 2, 2, 0, 0, 0, 0, 0, 0, 2, 2,
        ]);
        expect(weekly(supplied, 'fixed', new Set())).toEqual([]);
    });

    it('counts weeks of hunger and of glut between the first picking and the last', () => {
        expect(hungerAndGlut([0, 0, 2, 2, 0.9, 0, 3.1, 2, 0], 2)).toEqual({ weeks: 6, hunger: 2, glut: 1 });
        expect(hungerAndGlut([0, 1, 3], 2)).toEqual({ weeks: 2, hunger: 0, glut: 0 });
        expect(hungerAndGlut([], 2)).toEqual({ weeks: 0, hunger: 0, glut: 0 });
    });

    it('keeps the need in the address and says what comes of it', async () => {
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/crops': [{ slug: 'radish', name: 'Radish' }],
            'GET /api/zones/bench/windows/radish/succession': RADISH,
        });
        show(<Supply />, '/desk/zones/bench/supply?from=04-18&want=kale:0', '/desk/zones/:zone/supply');
        await screen.findByText(/Say what is wanted/);
        await screen.findByRole('option', { name: 'Radish' });
        fireEvent.change(screen.getByLabelText('Crop'), { target: { value: 'radish' } });
        fireEvent.change(screen.getByLabelText('kg a week'), { target: { value: '2' } });
        fireEvent.click(screen.getByRole('button', { name: 'Add' }));
        await screen.findByText(/Radish: 3 sowings, the last on 20 Jun/);
        expect(screen.getByText(/4 weeks short of 10/)).toBeTruthy();
        await waitFor(() =>
            expect(asked.some(({ what }) => what.includes('succession?on=04-18&days=180&kg=2'))).toBe(true),
        );
    });
});
