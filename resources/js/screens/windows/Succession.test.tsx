import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show, type AnswerTo, type Asked } from '../../testing';
import { Succession } from './Succession';

type Both = AnswerTo<'GET /api/zones/bench/windows/radish/succession'>;

const plan = (change: Partial<Both['even']> = {}): Both['even'] => ({
    sowings: [
        { on: '04-01', after: 0, first: 30, last: 49, metres: 2.5, seeds: null, grams: null },
        { on: '04-20', after: 19, first: 50, last: 69, metres: 2.6, seeds: null, grams: null },
    ],
    years: 29,
    usual: Array.from({ length: 70 }, (_, i) => (i < 30 ? 0 : 1)),
    low: Array.from({ length: 70 }, () => 0),
    middle: Array.from({ length: 70 }, () => 1),
    high: Array.from({ length: 70 }, () => 2),
    season: null,
    gaps: [],
    gluts: [],
    ...change,
});
const both: Both = {
    from: '04-01',
    days: 120,
    interval: 14,
    yield_per_m: 2,
    unit: 'kg',
    cut: null,
    even: plan(),
    fixed: plan({
        gaps: [[50, 56]],
        gluts: [
            [40, 41],
            [44, 44],
        ],
    }),
};
const queryOf = (asked: Asked | undefined) => Object.fromEntries(new URLSearchParams(asked?.what.split('?')[1] ?? ''));
const element = <Succession zone="bench" crop="radish" route="direct" standard="reliable" from="04-01" />;

describe('keeping a crop coming', () => {
    it('sets sowings for an even harvest beside a fixed interval, with its hunger and its glut', async () => {
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench/windows/radish/succession': both,
        });
        show(element);
        const [even, fixed] = await screen.findAllByRole('figure');
        expect(even?.textContent).toContain('For an even harvest. Sow on 1 Apr (2.5 m) and 20 Apr (2.6 m).');
        expect(even?.textContent).not.toContain('Nothing to pick');
        expect(fixed?.textContent).toContain('Every 14 days.');
        expect(fixed?.textContent).toContain('Nothing to harvest from 21 May to 27 May.');
        expect(fixed?.textContent).toContain('More than one sowing at once from 11 May to 12 May and on 15 May.');
        expect(even?.querySelectorAll('.sown')).toHaveLength(2);
        expect(queryOf(asked.find((a) => a.what.includes('/succession')))).toEqual({
            on: '04-01',
            days: '120',
            route: 'direct',
            standard: 'reliable',
        });
    });

    it('asks for another first day, another span and kilograms a week', async () => {
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench/windows/radish/succession': { ...both, yield_per_m: null },
        });
        show(element);
        fireEvent.change(await screen.findByLabelText('First sowing from'), { target: { value: '2026-08-10' } });
        fireEvent.change(screen.getByLabelText('Days to plan for'), { target: { value: '60' } });
        fireEvent.change(screen.getByLabelText('A week (flowers: stems), kg'), { target: { value: '1.5' } });
        await waitFor(() =>
            expect(queryOf(asked.filter((a) => a.what.includes('/succession')).at(-1))).toMatchObject({
                on: '08-10',
                days: '60',
                amount: '1.5',
            }),
        );
        expect(await screen.findByText(/yield is not in the crop book/)).toBeTruthy();
    });

    it('says that no day is good, and what the server refuses', async () => {
        fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench/windows/radish/succession': {
                ...both,
                even: plan({ sowings: [], usual: [], middle: [], high: [] }),
            },
        });
        show(element);
        expect(await screen.findByText(/No day from here on reaches your confidence level./)).toBeTruthy();
        fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench/windows/radish/succession': new Refused(422, {
                message: 'A succession lasts 1 to 364 days.',
            }),
        });
        fireEvent.change(screen.getByLabelText('Days to plan for'), { target: { value: '364' } });
        expect(await screen.findByText('A succession lasts 1 to 364 days.')).toBeTruthy();
    });
});
