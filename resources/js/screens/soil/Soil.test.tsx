import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show, SITE } from '../../testing';
import type { Reading, Spot } from './queries';
import { Soil } from './Soil';

const reading = (id: number, celsius: number, change: Partial<Reading> = {}): Reading => ({
    id,
    on: '2026-04-17',
    hour: 9.5,
    depth: 0.05,
    celsius,
    within: 0.12,
    figures: [],
    source: 'simulated',
    author: 'Tobias Marchetti',
    withdrawn: false,
    ...change,
});
const spot = (id: number, name: string, change: Partial<Spot> = {}): Spot => ({
    id,
    name,
    site: { id: 2, name: 'raised bed' },
    now: { on: '2026-04-17', celsius: 9.4, reading: 10.1, model: 6.2, usual: 11.6 },
    open: [
        { crop: 'carrot', name: 'Carrot', route: 'direct', act: 'sow-outdoors', soil_min: 7, warm_enough: true },
        { crop: 'kale', name: 'Kale', route: 'direct', act: 'sow-outdoors', soil_min: 7, warm_enough: true },
        { crop: 'kale', name: 'Kale', route: 'transplant', act: 'set-out', soil_min: 7, warm_enough: true },
    ],
    readings: [reading(10 * id, 9.4), reading(10 * id + 1, 8.2, { withdrawn: true })],
    ...change,
});
const soil = {
    today: '2026-04-18',
    depth: 0.05,
    days: {
        first: '2026-03-08',
        model: Array.from({ length: 42 }, (_, i) => (i === 41 ? null : i / 4)),
        usual: Array.from({ length: 42 }, (_, i) => 4 + i / 6),
    },
    probe: 'simulated',
    spots: [spot(1, 'Bed 3'), spot(2, 'Pots', { now: null, open: [], readings: [] })],
};
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/sites': [
        { ...SITE, id: 1, name: 'open ground' },
        { ...SITE, name: 'raised bed' },
    ],
    'GET /api/zones/bench/soil': soil,
    'POST /api/zones/bench/soil-fits': { celsius: 9.42, within: 0.14, time_constant: 22, to_go: 0.1, settled: true },
};
const at = (): [string, string] => ['/desk/zones/bench/soil', '/desk/zones/:zone/soil'];

async function type(value: string) {
    fireEvent.change(await screen.findByLabelText('It shows, °C'), { target: { value } });
    fireEvent.submit(screen.getByLabelText('It shows, °C'));
}

describe('soil', () => {
    it('holds each spot’s latest reading against model and usual, and says what that opens', async () => {
        fakeServer(answers);
        show(<Soil />, ...at());
        expect(
            await screen.findByText(
                '9.4 °C 17 April 2026; as a daily mean 10.1 °C. The model says 6.2 °C; normal is 11.6 °C.',
            ),
        ).toBeTruthy();
        expect(screen.getByText(/Warm enough here, though the model says it is not:/).textContent).toContain(
            'Carrot (7 °C) and Kale (7 °C)',
        );
        expect(screen.getByText('No readings here yet.')).toBeTruthy();
        // One reading counts; the withdrawn one is on the list, and not on the plot.
        expect(document.querySelectorAll('svg .spot-mark')).toHaveLength(1);
        expect(await screen.findAllByText('Delete')).toHaveLength(1);
    });

    it('fits figures as they are typed, and keeps where they settle with when and how deep', async () => {
        const asked = fakeServer({ ...answers, 'POST /api/zones/bench/soil-readings': soil });
        show(<Soil />, ...at());
        for (const figure of ['20', '13', '10.5']) await type(figure);
        expect(screen.getByText(/3 figures so far; it takes 4/)).toBeTruthy();
        expect(screen.queryByText('Save 9.4 °C')).toBeNull();
        await type('9.6');
        expect(await screen.findByText('Settled at 9.4 °C, give or take 0.1 °C.')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Hour'), { target: { value: '10:30' } });
        fireEvent.click(screen.getByText('Save 9.4 °C'));
        expect(await screen.findByText(/Reading saved\./)).toBeTruthy();
        const sent = asked.find((a) => a.what === 'POST /api/zones/bench/soil-readings')?.body as {
            figures: [number, number][];
        };
        expect(sent).toMatchObject({ spot: 1, on: '2026-04-18', hour: 10.5, depth: 0.05 });
        expect(sent.figures.map((f) => f[1])).toEqual([20, 13, 10.5, 9.6]);
        sent.figures.slice(1).forEach((f, i) => expect(f[0]).toBeGreaterThan(sent.figures[i]?.[0] ?? 0));
    });

    it('takes back the reading that was saved last', async () => {
        const first = soil.spots[0]!;
        const kept = ({ on, hour, depth }: { on: string; hour: number; depth: number }) => {
            const bySomebodyElse = { ...reading(76, 9), on, hour: hour - 1, depth };
            const readings = [...first.readings, bySomebodyElse, { ...reading(77, 9.4), on, hour, depth }];
            return { ...soil, spots: [{ ...first, readings }] };
        };
        const asked = fakeServer({
            ...answers,
            'POST /api/zones/bench/soil-readings': kept,
            'DELETE /api/soil-readings/77': soil,
        });
        show(<Soil />, ...at());
        await type('9.4');
        fireEvent.click(screen.getByText('Settled: save 9.4 °C'));
        fireEvent.click(await screen.findByText('Undo'));
        await waitFor(() => expect(asked.at(-1)?.what).toBe('DELETE /api/soil-readings/77'));
        expect(await screen.findByText('Undone.')).toBeTruthy();
    });

    it('keeps one figure that had settled', async () => {
        const asked = fakeServer({ ...answers, 'POST /api/zones/bench/soil-readings': soil });
        show(<Soil />, ...at());
        await type('9.4');
        fireEvent.click(screen.getByText('Settled: save 9.4 °C'));
        await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ celsius: 9.4, spot: 1 }));
    });

    it('reads the connected probe until it has settled', async () => {
        let seconds = -10;
        const asked = fakeServer({
            ...answers,
            ...Object.fromEntries(
                Array.from({ length: 18 }, (_, i) => [
                    `GET /api/soil-spots/1/probe?seconds=${10 * i}`,
                    () => ({ seconds: (seconds += 10), celsius: 20 - i, source: 'simulated', pace: 2000 }),
                ]),
            ),
            'POST /api/zones/bench/soil-readings': soil,
        });
        show(<Soil />, ...at());
        fireEvent.click(await screen.findByText('Read the simulated probe'));
        fireEvent.click(await screen.findByText('Save 9.4 °C'));
        await waitFor(() => expect(asked.at(-1)?.body).toMatchObject({ simulated: true, spot: 1 }));
    });

    it('says in the server’s words why figures or a probe are no good', async () => {
        fakeServer({
            ...answers,
            'POST /api/zones/bench/soil-fits': new Refused(422, { message: 'Figure 2 is 99 °C.' }),
            'GET /api/soil-spots/1/probe?seconds=0': new Refused(404, { message: 'No probe is connected.' }),
        });
        show(<Soil />, ...at());
        fireEvent.click(await screen.findByText('Read the simulated probe'));
        expect(await screen.findByText('No probe is connected.')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Spot'), { target: { value: '2' } });
        for (const figure of ['20', '99', '10', '9']) await type(figure);
        expect(await screen.findByText('Figure 2 is 99 °C.')).toBeTruthy();
    });

    it('names a spot, and keeps what its readings say as a site of the zone', async () => {
        const asked = fakeServer({
            ...answers,
            'POST /api/zones/bench/soil-spots': { ...soil, spots: [...soil.spots, spot(3, 'Cells', { readings: [] })] },
            'GET /api/soil-spots/1/calibration': {
                site: { ...SITE, name: 'raised bed', sun: 2.8 },
                depth: 0.05,
                depths: [],
                readings: 1,
                used: 1,
                offset: 0.83,
                rate: 1.15,
                rate_fitted: false,
                error_before: 3.3,
                error_after: 2.5,
                points: [],
            },
            'POST /api/sites': { ...SITE, id: 9, zone: 'bench', name: 'Bed 3' },
        });
        show(<Soil />, ...at());
        fireEvent.click(await screen.findByText('Compare with the model'));
        expect(await screen.findByText(/soil here is 0.8 °C from the model/)).toBeTruthy();
        fireEvent.submit(await screen.findByLabelText('Name of growing site'));
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'POST /api/sites')?.body).toMatchObject({
                name: 'Bed 3',
                zone: 'bench',
                offset: 0.83,
                rate: 1.15,
                sun: 2.8,
            }),
        );
        const aside = within(screen.getByRole('complementary'));
        fireEvent.click(aside.getByText('Add another spot'));
        fireEvent.change(aside.getByLabelText('Name of the spot'), { target: { value: ' Cells ' } });
        fireEvent.change(aside.getByLabelText('Growing site'), { target: { value: '2' } });
        fireEvent.click(aside.getByText('Add spot'));
        await waitFor(() => expect((aside.getByLabelText('Spot') as HTMLSelectElement).value).toBe('3'));
        expect(asked.find((a) => a.what === 'POST /api/zones/bench/soil-spots')?.body).toEqual({
            name: 'Cells',
            site: 2,
        });
    });
});
