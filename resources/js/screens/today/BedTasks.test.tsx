import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { fakeServer, show } from '../../testing';
import { BedTasks } from './BedTasks';

const task = (key: string, on: string, planting: number): Schema['GroundTask'] => ({
    key,
    on,
    to: null,
    bed: { garden: 'School', name: 'Bed 3', site: null },
    name: 'Carrot',
    crop: 'carrot',
    stay: `planting ${planting}`,
    for: '2026-05-10',
    plants: null,
});

function today(tasks: Schema['GroundTask'][]) {
    const asked = fakeServer({ 'GET /api/zones/bench/ground-tasks': tasks });
    show(<BedTasks zone="bench" today="2026-04-28" />);
    return asked;
}

describe('what the beds ask for', () => {
    it('is told for a week, with its day, its bed and what it is for, and where the rest is', async () => {
        const asked = today([task('amend', '2026-04-28', 1), task('compost', '2026-05-02', 2)]);
        const lines = (await screen.findAllByRole('listitem')).map((line) => line.textContent);
        expect(lines).toHaveLength(2);
        expect(lines[0]).toMatch(/^28 Apr: .*Bed 3/);
        expect(lines[1]).toMatch(/^2 May: /);
        expect(asked[0]?.what).toContain('ground-tasks?from=2026-04-28&to=2026-05-05');
        expect(screen.getByRole('link').getAttribute('href')).toBe('/desk/zones/bench/beds');
    });

    it('puts what begins before what has held for a while, and says until when that does', async () => {
        today([{ ...task('no-manure', '2026-03-02', 1), to: '2026-06-20' }, task('amend', '2026-04-30', 2)]);
        const lines = (await screen.findAllByRole('listitem')).map((line) => line.textContent);
        expect(lines[0]).toMatch(/^30 Apr: /);
        expect(lines[1]).toMatch(/^until 20 Jun: /);
    });

    it('stops after eight and says how many more there are', async () => {
        today(Array.from({ length: 11 }, (_, i) => task('amend', '2026-04-29', i)));
        expect(await screen.findAllByRole('listitem')).toHaveLength(8);
        expect(screen.getByText('3 more, in Beds')).toBeTruthy();
    });
});
