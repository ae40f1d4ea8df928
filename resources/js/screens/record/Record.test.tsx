import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { COMPUTATION, EDUCATOR, fakeServer, RECORD, Refused, show, ZONE, type AnswerTo } from '../../testing';
import { Record } from './Record';

const flat = (value: number) => Array.from({ length: 365 }, () => value);
const seasons = Array.from({ length: 20 }, (_, i) => ({
    season: 1996 + i,
    first: '10-10',
    last: '04-25',
    first_date: `${1995 + i}-10-10`,
    last_date: `${1996 + i}-04-25`,
}));
const threshold = (name: string, celsius: number, none = false) => ({
    threshold: name,
    celsius,
    phrase: { key: 'verbatim', with: { text: name } },
    seasons: none
        ? seasons.map(({ season }) => ({ season, first: null, last: null, first_date: null, last_date: null }))
        : seasons,
    to_come: flat(none ? 0 : 12),
    has_come: flat(none ? 0 : 4),
    trend: none
        ? null
        : { days_per_decade: -1.2, p: 0.04, phrase: { key: 'trend.earlier', with: { days: 1.2, p: 0.04 } } },
});
const risk = (name: string, date: string | null) => ({
    risk: 0.5,
    phrase: { key: 'verbatim', with: { text: name } },
    date,
    earliest: date,
    latest: null,
});
const freezes = (name: string, celsius: number, date: string | null) => ({
    threshold: name,
    celsius,
    phrase: { key: 'verbatim', with: { text: name } },
    last: [risk('1 year in 2', date)],
    first: [risk('1 year in 2', date)],
    free_days: [168],
});
const climate = (date: string, none = false): AnswerTo<'GET /api/zones/bench/climate'> => ({
    ruler: {
        starts: '01-01',
        seasons: 20,
        short_record: false,
        freeze_chance: flat(0.2),
        hot_chance: flat(0),
        soil: flat(11),
        day_length: flat(13.5),
        freeze_to_come: flat(12),
        freeze_has_come: flat(4),
        freezes: [freezes('frost-possible', 2.2, date), freezes('light-freeze', 0, none ? null : date)],
    },
    climate: {
        season_starts: '07-15',
        thresholds: [threshold('frost-possible', 2.2), threshold('light-freeze', 0, none)],
        hardiness: { mean_extreme_minimum: -15.2, half_zone: '7a' },
        heat: [{ celsius: 30, days_a_year: 23.2, first: '06-12', last: '08-20' }],
        degree_days: [{ base: 5, a_year: 2486 }],
        day_lengths: [
            { hours: 10, reached: '02-10', lost: '11-03', days: 266 },
            { hours: 8, reached: null, lost: null, days: 365 },
        ],
        twilight: flat(14.5),
        radiation: flat(31.4),
        sites: [
            {
                site: 'open ground',
                soil: flat(11),
                soil_dates: [
                    { celsius: 10, one_year_in_two: '04-10', four_years_in_five: '04-22' },
                    { celsius: 18, one_year_in_two: null, four_years_in_five: null },
                ],
            },
            { site: 'cold frame', soil: flat(16), soil_dates: [] },
        ],
        normals: { minimum: flat(4), maximum: flat(16) },
        completeness: [{ year: 1996, months: [31, 20, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] }],
    },
});
const zone = { ...ZONE, record: RECORD };
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/zones': [
        { ...zone },
        { ...zone, slug: 'meadow', name: 'High Meadow' },
        { ...zone, slug: 'new', name: 'New', record: null },
    ],
    'GET /api/zones/bench': zone,
    'GET /api/zones/bench/climate': climate('04-25'),
    'GET /api/zones/meadow/climate': climate('05-28'),
    'GET /api/zones/bench/climate?from=1996&to=2005': climate('05-02'),
};
const at = (part: string) => [`/desk/zones/bench/climate/${part}`, '/desk/zones/:zone/climate/:part?'] as const;

describe('the record', () => {
    it('reads the freezes to come on a day at every threshold', async () => {
        fakeServer(answers);
        show(<Record />, ...at('freezes?on=04-20'));
        expect(
            await screen.findByText('In 12 of 20 seasons on record a freeze (0 °C) still came on or after 20 April.'),
        ).toBeTruthy();
        expect(screen.getByText(/The last freeze comes 1.2 days earlier per decade/)).toBeTruthy();
        expect(screen.getAllByText('25 Apr').length).toBeGreaterThan(0);
        fireEvent.keyDown(window, { key: ']' });
        expect(screen.getByText('On 27 April')).toBeTruthy();
    });

    it('of a place without freezes says so and draws nothing that is not', async () => {
        fakeServer({ ...answers, 'GET /api/zones/bench/climate': climate('04-25', true) });
        show(<Record />, ...at('freezes?on=04-20'));
        expect(await screen.findByText('No season on record had a freeze (0 °C).')).toBeTruthy();
        expect(screen.getByText('There are too few freezes on record to say.')).toBeTruthy();
        expect(document.body.innerHTML).not.toContain('NaN');
        expect(document.body.innerHTML).not.toContain('undefined');
    });

    it('is held against another zone, and against other years', async () => {
        fakeServer(answers);
        show(<Record />, ...at('freezes'));
        const against = await screen.findByLabelText('Compare with');
        await waitFor(() => expect(against.textContent).toContain('1996 to 2005'));
        expect(against.textContent).not.toContain('New');
        fireEvent.change(against, { target: { value: 'meadow' } });
        expect((await screen.findAllByText('28 May')).length).toBeGreaterThan(0);
        fireEvent.change(against, { target: { value: '1996-2005' } });
        expect((await screen.findAllByText('2 May')).length).toBeGreaterThan(0);
    });

    it('leans on the years chosen', async () => {
        const asked = fakeServer({
            ...answers,
            'PUT /api/zones/bench/years': { ...COMPUTATION, id: 3, state: 'running', step: 'replay' },
            'GET /api/computations/3': { ...COMPUTATION, id: 3, state: 'cancelled', step: 'cancelled' },
        });
        show(<Record />, ...at('freezes'));
        fireEvent.change(await screen.findByLabelText('Years used'), { target: { value: '15' } });
        expect(await screen.findByText('Canceled. What was there before stays in use.')).toBeTruthy();
        expect(asked.find((a) => a.what.startsWith('PUT'))?.body).toMatchObject({ years: 15 });
    });

    it('goes to the years used when the address names them', async () => {
        fakeServer(answers);
        window.location.hash = '#years-used';
        show(<Record />, ...at('freezes'));
        const years = await screen.findByLabelText('Years used');
        window.location.hash = '';
        expect(document.activeElement).toBe(years);
    });

    it('tells soil, air and light of a day, at any site', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench/climate/years/2026': {
                year: 2026,
                minimum: flat(1.6),
                maximum: flat(12),
                soil: flat(9),
            },
        });
        show(<Record />, ...at('course?on=04-20'));
        expect(
            await screen.findByText(/Normally 4 °C at night and 16 °C by day; soil 11 °C, open ground/),
        ).toBeTruthy();
        expect(screen.getByText(/up for 13 h 30 min; with twilight it is light for 14 h 30 min/)).toBeTruthy();
        expect(await screen.findByText('In 2026: 2 °C and 12 °C; soil 9 °C in open ground.')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Soil of'), { target: { value: 'cold frame' } });
        expect(screen.getByText(/soil 16 °C, cold frame/)).toBeTruthy();
        expect(screen.getByText('10 Apr; 22 Apr')).toBeTruthy();
        expect(screen.queryByText('8 h')).toBeNull();
    });

    it('of a zone without one begins with bringing a file', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench': { ...zone, record: null },
            'GET /api/zones/bench/stations': {
                version: 1,
                stations: [],
                set_aside: [],
                filled_in: [],
                filled_in_count: 0,
            },
            'GET /api/zones/bench/record-imports': [],
            'GET /api/zones/bench/climate': new Refused(404, { message: 'not yet' }),
        });
        show(<Record />, ...at('freezes'));
        expect(await screen.findByText('No climate record yet')).toBeTruthy();
        expect(await screen.findByText('None yet.')).toBeTruthy();
        expect(screen.getByText('Upload station file')).toBeTruthy();
    });
});
