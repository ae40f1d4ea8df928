import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show } from '../../testing';
import { Boundaries, BringBoundaries } from './Boundaries';

const square = (x: number, y: number) => [
    [
        [x, y],
        [x + 1, y],
        [x + 1, y + 1],
        [x, y + 1],
        [x, y],
    ],
];
const outlines = [
    { zone: 'low', name: 'Low', longitude: 0.5, latitude: 0.5, rings: square(0, 0) },
    { zone: 'high', name: 'High', longitude: 1.5, latitude: 0.5, rings: square(1, 0) },
    { zone: 'bare', name: 'Bare', longitude: 9, latitude: 9, rings: [] },
];
const answers = { 'GET /api/session': EDUCATOR, 'GET /api/zone-boundaries': outlines };

describe('boundaries', () => {
    it('are lines with their names, north up, beside one another as they lie', async () => {
        fakeServer(answers);
        show(<Boundaries district="Basin" zones={['low', 'high', 'bare']} />);
        const low = (await screen.findByText('Low')) as unknown as SVGTextElement;
        const high = screen.getByText('High') as unknown as SVGTextElement;
        expect(Number(high.getAttribute('x'))).toBeGreaterThan(Number(low.getAttribute('x')));
        expect(document.querySelectorAll('path')).toHaveLength(2);
        expect(screen.queryByText('Bare')).toBeNull();
        expect(low.closest('a')?.getAttribute('href')).toBe('/desk/zones/low/planting-windows');
        const [first] = document.querySelectorAll('path');
        // Its first corner is the south-west one: below the last of the north.
        const corners = [...(first?.getAttribute('d') ?? '').matchAll(/([\d.]+) ([\d.]+)/g)].map((c) => Number(c[2]));
        expect(corners[0]).toBeGreaterThan(corners[2] ?? Infinity);
    });

    it('of a single zone are not drawn', async () => {
        fakeServer(answers);
        show(<Boundaries district="Basin" zones={['low']} />);
        await waitFor(() => expect(document.querySelector('svg')).toBeNull());
    });

    it('are brought as a file; what cannot be taken is said', async () => {
        const asked = fakeServer({
            ...answers,
            'POST /api/zone-boundaries': new Refused(422, { message: 'Feature 2: no zone is called “Moon”.' }),
        });
        show(<BringBoundaries />);
        expect(await screen.findByText(/Zones without a boundary: Bare./)).toBeTruthy();
        const input = document.querySelector('input[type=file]') as HTMLInputElement;
        fireEvent.change(input, { target: { files: [new File(['{}'], 'zones.geojson')] } });
        await waitFor(() => expect(asked.some((a) => a.what === 'POST /api/zone-boundaries')).toBe(true));
        expect(await screen.findByText('Feature 2: no zone is called “Moon”.')).toBeTruthy();
    });

    it('are undone by the key they were brought with', async () => {
        const asked = fakeServer({ ...answers, 'POST /api/zone-boundaries': outlines });
        show(<BringBoundaries />);
        await screen.findByText(/Zones without a boundary: Bare./);
        const input = document.querySelector('input[type=file]') as HTMLInputElement;
        fireEvent.change(input, { target: { files: [new File(['{}'], 'zones.geojson')] } });
        expect(await screen.findByText(/The boundaries were saved\./)).toBeTruthy();
        fireEvent.click(screen.getByText('Undo'));
        await waitFor(() => expect(asked.at(-1)?.what).toMatch(/^DELETE \/api\/zone-boundaries\/[0-9a-f-]{36}$/));
    });
});
