import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { CROP, EDUCATOR, fakeServer, show, type AnswerTo } from '../../testing';
import type { Supplied } from './queries';
import { HarvestPlan } from './HarvestPlan';
import { hungerAndGlut, shortThisSeason, weekly, weeksOf } from './weeks';

const plan = (sowings: { on: string; after: number; first: number; last: number; metres: number | null }[]) => ({
    sowings: sowings.map((sowing) => ({ ...sowing, seeds: 60, grams: 0.7 })),
    years: 30,
    usual: [],
    low: [],
    middle: [],
    high: [],
    season: null,
    gaps: [],
    gluts: [],
});

const RADISH = {
    from: '04-18',
    days: 180,
    interval: 10,
    yield_per_m: 1.5,
    unit: 'kg' as const,
    cut: null,
    even: plan([
        { on: '04-18', after: 0, first: 28, last: 41, metres: 1.3 },
        { on: '05-02', after: 14, first: 42, last: 55, metres: 1.4 },
        { on: '06-20', after: 63, first: 84, last: 97, metres: 1.2 },
    ]),
    fixed: plan([]),
};

const supplied: Supplied = { want: { crop: 'radish', amount: 2 }, data: RADISH, error: null };

describe('The harvest plan', () => {
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

    it('keeps the need with the zone and says what comes of it', async () => {
        const asked = fakeServer({
            'GET /api/zones/bench/harvest-plan': { needs: [], version: 1 },
            'PUT /api/zones/bench/harvest-plan': (sent: AnswerTo<'GET /api/zones/bench/harvest-plan'>) => ({
                ...sent,
                version: sent.version + 1,
            }),
            'GET /api/session': EDUCATOR,
            'GET /api/crops': [{ ...CROP, slug: 'radish', name: 'Radish' }],
            'GET /api/zones/bench/windows/radish/succession': RADISH,
        });
        show(<HarvestPlan />, '/desk/zones/bench/harvest-plan?from=04-18', '/desk/zones/:zone/harvest-plan');
        await screen.findByText(/Add the crops you want to harvest/);
        await screen.findByRole('option', { name: 'Radish' });
        fireEvent.change(screen.getByLabelText('Crop'), { target: { value: 'radish' } });
        fireEvent.change(screen.getByLabelText('A week (flowers: stems), kg'), { target: { value: '2' } });
        fireEvent.click(screen.getByRole('button', { name: 'Add' }));
        await screen.findByText(/Radish: 3 plantings, the last on 20 Jun/);
        expect(screen.getByText(/4 weeks fall short of 10/)).toBeTruthy();
        await waitFor(() =>
            expect(asked.some(({ what }) => what.includes('succession?on=04-18&days=180&amount=2'))).toBe(true),
        );
        const sent = () => asked.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body);
        expect(sent()).toEqual([{ needs: [{ crop: 'radish', amount: 2 }], version: 1 }]);
        fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
        await screen.findByText(/Add the crops you want to harvest/);
        fireEvent.click(screen.getAllByRole('button', { name: 'Undo' }).at(-1)!);
        await screen.findByText(/Radish: 3 plantings/);
        expect(sent().slice(1)).toEqual([
            { needs: [], version: 2 },
            { needs: [{ crop: 'radish', amount: 2 }], version: 3 },
        ]);
    });

    it('tells what the years and this season give, and of flowers how they are cut', async () => {
        const line = (count: number) => Array.from({ length: 14 }, (_, i) => (i < 7 ? 0 : count));
        const cut = { stems_per_plant: 12, branches: true, vase_days: 8, at: 'open' as const };
        const years = { usual: line(1), low: line(0), middle: line(1), high: line(2) };
        const season = { from: '2026-04-18', members: 28, low: line(0), middle: line(0.4), high: line(1) };
        fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench/harvest-plan': { needs: [{ crop: 'zinnia', amount: 20 }], version: 2 },
            'GET /api/crops': [{ ...CROP, slug: 'zinnia', name: 'Zinnia', kind: 'flower' }],
            'GET /api/zones/bench/windows/zinnia/succession': {
                ...RADISH,
                unit: 'stems',
                cut,
                even: {
                    ...plan([{ on: '04-18', after: 0, first: 7, last: 13, metres: 0.5 }]),
                    ...years,
                    season,
                },
            },
        });
        show(<HarvestPlan />, '/desk/zones/bench/harvest-plan?from=04-18', '/desk/zones/:zone/harvest-plan');
        const said = await screen.findByText(/^Zinnia: one planting/);
        expect(said.textContent).toContain('No week falls short of 1.');
        expect(said.textContent).toContain('This season one week falls short in half of 28 ways it may continue.');
        expect(said.textContent).toContain('about 12 a plant; cut fully open; keeps about 8 days in the vase.');
        expect(screen.getByText(/Zinnia, 20 stems a week/)).toBeTruthy();
        fireEvent.click(screen.getByText(/Week by week/));
        const rows = () =>
            [...document.querySelectorAll('details:last-of-type tbody tr')].map((row) =>
                [...row.children].map((cell) => cell.textContent),
            );
        await waitFor(() => expect(rows()).not.toEqual([]));
        expect(rows()).toEqual([
            ['Zinnia', '04-18', '0', '0', '0', '0', '0', '0', '0'],
            ['Zinnia', '04-25', '20', '0', '20', '40', '0', '8', '20'],
        ]);
    });

    it('reckons weeks from days, the last one as far as it goes', () => {
        expect(weeksOf([1, 1, 1, 1, 1, 1, 1, 2, 2], 7)).toEqual([7, 4]);
        expect(shortThisSeason({ ...plan([]), season: null }, 2)).toBeNull();
        const season = { from: '2026-04-18', members: 3, low: [], high: [] };
        const middle = [1, 1, 1, 1, 1, 1, 1, 0.4, 0.4, 0.4, 0.4, 0.4, 0.4, 0.4, 1, 1, 1, 1, 1, 1, 1];
        expect(shortThisSeason({ ...plan([]), season: { ...season, middle } }, 2)).toBe(1);
    });
});
