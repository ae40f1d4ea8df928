import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { yearScale } from '../../time/yearScale';
import { EDUCATOR, fakeServer, Refused, show } from '../../testing';
import { familiesIn, laned, place, shown } from './lanes';
import type { Occupancy } from './queries';
import { bed, stay as sample, undoneBy } from './samples';
import { order } from './SeasonList';
import { OccupancyCard } from './OccupancyCard';
import { usePlantings } from './queries';

const stay = (name: string, from: string, to: string, with_: Partial<Occupancy> = {}) =>
    sample(name, { key: `${name} ${from}`, from, to, ...with_ });

describe('beds under the ruler', () => {
    it('puts what stands at once in lanes of its own, and what follows in the first that is free', () => {
        const lanes = laned([
            stay('Kale', '2026-06-11', '2026-09-01'),
            stay('Radish', '2026-04-01', '2026-05-10'),
            stay('Carrot', '2026-05-10', '2026-08-01'),
            stay('Beet', '2026-05-11', '2026-06-10'),
        ]);
        expect(lanes.map(({ stay: one, lane }) => `${one.name} ${lane}`)).toEqual([
            'Radish 0',
            'Carrot 1',
            'Beet 0',
            'Kale 0',
        ]);
    });

    it('holds what runs over the year to its ends', () => {
        const scale = yearScale('01-01', 730);
        expect([
            place(scale, '2026-01-01', '2026-01-11'),
            place(scale, '2026-01-01', '2025-12-01'),
            place(scale, '2026-01-01', '2027-03-01'),
        ]).toEqual([20, 0, 730]);
        const spans = [
            stay('a', '2025-10-01', '2026-01-01'),
            stay('b', '2026-12-31', '2027-02-01'),
            stay('c', '2027-01-01', '2027-02-01'),
        ];
        expect(shown(spans, '2026-01-01', '2026-12-31').map((one) => one.name)).toEqual(['a', 'b']);
        expect(familiesIn(bed(spans), '2025-01-01', '2025-12-31')).toEqual(['Brassicaceae']);
    });

    it('adds up the seed of all sowings, a crop a row', () => {
        const need = (plants: number, seeds: number | null, grams: number | null) => ({
            rows: 1,
            plants,
            spares: null,
            seeds,
            grams,
        });
        expect(
            order([
                stay('Radish', '2026-04-01', '2026-05-01', { need: need(100, 125, 1.44) }),
                stay('Garlic', '2026-04-01', '2026-05-01', { need: need(50, null, null) }),
                stay('Radish', '2026-05-01', '2026-06-01', { need: need(10, 13, 0.15) }),
            ]),
        ).toEqual([
            ['Garlic', 50, null, null],
            ['Radish', 110, 138, 1.6],
        ]);
    });

    it('changes a planting, pins it, and undoes the latest first', async () => {
        const NO_BEDS = { today: '', from: '', to: '', beds: [] };
        const kale = { id: 7, bed: 3, on: '2026-06-11', metres: 4, pinned: false, spares: false, between: null };
        const change = (by: Partial<Schema['PlantingChange']>) => ({ ground: NO_BEDS, undo: undoneBy(by) });
        const answers = [
            change({ remove: [{ id: 7, version: 3 }] }),
            change({ change: [{ ...kale, version: 4 }] }),
            change({ change: [{ ...kale, version: 5 }] }),
            new Refused(409, { message: 'Tobias changed this.' }),
            change({ restore: [{ id: 7, version: 6 }] }),
        ];
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'PUT /api/zones/bench/plantings': () => Promise.resolve(answers.shift()!),
            'GET /api/zones/bench/plantings/7/spares': null,
            'GET /api/zones/bench/ground': NO_BEDS,
        });
        const Card = () => {
            const plantings = usePlantings('bench', { from: '2026-01-01', to: '2026-12-31' });
            return (
                <>
                    <OccupancyCard
                        zone="bench"
                        bed={bed([])}
                        stay={stay('Kale', '2026-06-11', '2026-09-01', { height_cm: 150, cautions: ['treated_seed'] })}
                        beds={[bed([])]}
                        plantings={plantings}
                    />
                    <button onClick={plantings.undo}>back</button>
                    <p>{plantings.error?.message}</p>
                </>
            );
        };
        show(<Card />);
        expect(screen.getByText(/It grows 1.5 m tall/)).toBeTruthy();
        expect(screen.getByText(/^Seed may be treated/)).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Length of row, m'), { target: { value: '2.5' } });
        const sent = () => asked.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body);
        fireEvent.click(screen.getByRole('button', { name: 'Save changes' }));
        await waitFor(() => expect(sent()).toHaveLength(1));
        expect(sent()[0]).toEqual({
            change: [{ id: 7, version: 2, bed: 3, on: '2026-06-11', metres: 2.5, pinned: false }],
        });
        fireEvent.click(screen.getByRole('checkbox'));
        await waitFor(() => expect(sent()).toHaveLength(2));
        expect(sent()[1]).toMatchObject({ change: [{ pinned: true }] });
        const back = () => fireEvent.click(screen.getByRole('button', { name: 'back' }));
        back();
        await waitFor(() => expect(sent()).toHaveLength(3));
        expect(sent()[2]).toMatchObject({ change: [{ id: 7, version: 4 }] });
        // What the earlier undo is meant at counts on with it. Refused, it is not lost.
        await waitFor(() => {
            if (sent().length === 3) back();
            expect(screen.getByText('Tobias changed this.')).toBeTruthy();
        });
        expect(sent()[3]).toMatchObject({ remove: [{ id: 7, version: 5 }] });
        back();
        await waitFor(() => expect(sent()).toHaveLength(5));
        expect(sent()[4]).toEqual(sent()[3]);
    });
});
