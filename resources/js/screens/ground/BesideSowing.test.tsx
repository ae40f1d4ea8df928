import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { BesideSowing } from './BesideSowing';
import { usePlantings, type Occupancy } from './queries';
import { stay as sample, undoneBy } from './samples';

const STAY = sample('Kale', { pinned: true });

const SPARES: Schema['PlantingSpares'] = {
    years: 29,
    failed: 9,
    start: '2026-03-12',
    ready: '2026-04-23',
    until: '2026-06-30',
    plants: 22,
};

function open(stay: Occupancy, spares: Schema['PlantingSpares'] | null) {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/plantings/7/spares': spares,
        'PUT /api/zones/bench/plantings': { ground: { today: '', from: '', to: '', beds: [] }, undo: undoneBy() },
    });
    const Card = () => {
        const plantings = usePlantings('bench', { from: '2026-01-01', to: '2026-12-31' });
        return <BesideSowing zone="bench" bed={3} stay={stay} plantings={plantings} />;
    };
    const { container } = show(<Card />);
    return { asked, container };
}

describe('Seedlings beside a planned sowing', () => {
    it('are planned with it, and its place stays what it was', async () => {
        const { asked } = open(STAY, SPARES);
        expect(
            await screen.findByText(
                'In 9 of 29 years this sowing does not come up, or dies young. You could raise 22 seedlings beside it: start them indoors about 12 Mar 2026. If it is not up by 23 Apr 2026, transplant them in its place, until 30 Jun 2026 at the latest.',
            ),
        ).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Plan spare seedlings' }));
        await waitFor(() => expect(asked.some(({ what }) => what.startsWith('PUT'))).toBe(true));
        expect(asked.find(({ what }) => what.startsWith('PUT'))?.body).toEqual({
            change: [{ id: 7, version: 2, bed: 3, on: '2026-04-01', metres: 4, pinned: true, spares: true }],
        });
    });

    it('are not planned any more', async () => {
        const { asked } = open({ ...STAY, spares: true }, SPARES);
        expect(await screen.findByText(/22 seedlings are planned to take its place/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'No spare seedlings' }));
        await waitFor(() => expect(asked.some(({ what }) => what.startsWith('PUT'))).toBe(true));
        expect(asked.find(({ what }) => what.startsWith('PUT'))?.body).toMatchObject({ change: [{ spares: false }] });
    });

    it('are not offered where they come too late, help nobody, or it is set out itself', async () => {
        open(STAY, { ...SPARES, until: null });
        expect(await screen.findByText(/too late for seedlings/)).toBeTruthy();
        expect(screen.queryByRole('button')).toBeNull();
        const none = open(STAY, null);
        await waitFor(() => expect(none.asked.some(({ what }) => what.includes('spares'))).toBe(true));
        expect(none.container.querySelector('section')).toBeNull();
        const out = open({ ...STAY, route: 'transplant' }, SPARES);
        expect(out.asked.some(({ what }) => what.includes('spares'))).toBe(false);
    });
});
