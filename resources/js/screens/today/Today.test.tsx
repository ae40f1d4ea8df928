import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show } from '../../testing';
import type { Advisory, SeasonAct, TodayData } from './queries';
import { runs } from './SeasonRibbon';
import { again, Today } from './Today';

const days = (value: number, length = 63) => Array.from({ length }, () => value);
const act = (crop: string, pile: SeasonAct['pile'], change: Partial<SeasonAct> = {}): SeasonAct => ({
    crop,
    name: crop[0]?.toUpperCase() + crop.slice(1),
    kind: 'cool',
    route: 'direct',
    act: 'sow-outdoors',
    pile,
    until: null,
    set_out_after: 0,
    reason: null,
    slack: 60,
    harvests: 29,
    of: 29,
    first: ['2026-06-28', '2026-07-03', '2026-07-08'],
    first_a_week_on: '2026-07-04',
    harvests_then: null,
    margin: 5,
    frost_tolerant: true,
    soil_min: 7,
    next: null,
    ribbon: { harvest: days(29) },
    totals: days(29),
    open: days(1).map(Boolean),
    varieties: [],
    ...change,
});
const night = { date: '2026-04-19', members: 20, of: 29, celsius: -2.4 };
const ground = {
    key: 'soil-10',
    says: {
        key: 'advisory.draft.soil-late',
        with: { soil: 'soil of 10 °C', day: '27 April', usual: '19 April', days: 8 },
    },
    evidence: [{ key: 'advisory.evidence.soil-usual', with: { soil: '10 °C', usual: '19 April' } }],
    until: '2026-04-27',
};
const today: TodayData = {
    today: '2026-04-18',
    standard: 'reliable',
    record_ends: '2026-04-17',
    outlook: { source: 'simulated', days: [{ date: '2026-04-18', minimum: -3.1, maximum: 8.4 }] },
    on: '2026-04-18',
    by: 'season',
    members: Array.from({ length: 29 }, (_, i) => 1995 + i),
    position: { degree_days: 178, days_ahead: -19, soil: 4.6, soil_above: -6.6 },
    soil: {
        line: days(9, 21),
        usual: days(10, 84),
        low: days(8),
        middle: days(10),
        high: days(12),
        ready: [
            { celsius: 5, now: true, dates: ['2026-04-18', '2026-04-18', '2026-04-18'] },
            { celsius: 10, now: false, dates: ['2026-04-25', '2026-04-27', '2026-05-07'] },
            { celsius: 15, now: false, dates: ['2026-05-01', null, null] },
        ],
    },
    freezes: { side: 'to-come', of: 29, thresholds: [{ threshold: 'light-freeze', celsius: 0, members: days(6) }] },
    nights: {
        expected: [night],
        tender: [
            { crop: 'bean', name: 'Bush bean', stage: 'young', kills: 0, cover: 'low tunnel' },
            { crop: 'pepper', name: 'Sweet pepper', stage: 'under-cover', kills: 1, cover: null },
            { crop: 'dill', name: 'Dill', stage: 'grown', kills: -2, cover: null },
        ],
    },
    grounds: [ground],
    acts: [
        act('celery', 'last-chance', { slack: 1, harvests: 24 }),
        act('carrot', 'go', {
            varieties: [{ name: 'Basin Quick', days: 58, tags: ['quick'], harvests: 29, of: 29, fits: true }],
        }),
        act('lettuce', 'hold-a-week', {
            until: '2026-04-24',
            harvests: 0,
            harvests_then: 26,
            reason: 'freeze-young',
            slack: null,
            first: null,
        }),
        act('spinach', 'fair-chance', { harvests: 22, slack: null, next: { first: '07-31', last: '08-22', days: 23 } }),
        act('garlic', 'over', {
            act: 'plant',
            harvests: 0,
            slack: null,
            next: { first: '09-16', last: '10-16', days: 31 },
        }),
    ],
};
const at = (search = '') => ['/desk/zones/bench/today' + search, '/desk/zones/:zone/today'] as const;
const advisory = (id: number, change: Partial<Advisory> = {}): Advisory => ({
    id,
    ground: null,
    text: `Advice ${id}.`,
    evidence: [],
    author: 'Wren Adeyemi-Holt',
    published_on: '2026-04-16',
    until: '2026-04-20',
    in_force: true,
    withdrawn: null,
    ...change,
});
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/zones/bench/advisories': [],
    'GET /api/zones/bench/soil': { today: '2026-04-18', depth: 0.05, days: null, probe: null, spots: [] },
    'GET /api/sites': [],
    'GET /api/packets': ['celery'],
    'GET /api/zones/bench/windows/carrot/packet-days?on=04-18&route=direct': { packet_days: 85 },
    'GET /api/zones/bench/windows/celery/packet-days': { packet_days: null },
    'GET /api/zones/bench/today': today,
};

describe('today', () => {
    it('puts every packet in its pile, with a sentence', async () => {
        fakeServer(answers);
        show(<Today />, ...at());
        const row = async (name: string) =>
            (await screen.findByText(name, { selector: 'button' })).closest('tr')?.lastElementChild?.textContent;
        expect(await row('Celery')).toBe('Harvest in 24 of 29 years · first harvest about 3 Jul · 1 day left to start');
        expect(await row('Carrot')).toBe('Harvest in 29 of 29 years · first harvest about 3 Jul; a week later, 4 Jul');
        expect(await row('Lettuce')).toBe('From 24 Apr: harvest in 26 of 29 years; now 0: killed by frost young');
        expect(await row('Spinach')).toBe('Harvest in 22 of 29 years; next 31 July to 22 August');
        expect(screen.getByText('Garlic (plant): 16 September to 16 October.')).toBeTruthy();
        expect(screen.getByText('Later this season')).toBeTruthy();
        const acts = within(screen.getByText('Last chance', { selector: 'th' }).closest('table') ?? document.body);
        expect(acts.getAllByRole('rowheader').map((cell) => cell.textContent)).toEqual([
            'Last chance',
            'Celery',
            'Go',
            'Carrot',
            'Wait a week',
            'Lettuce',
            'A fair chance',
            'Spinach',
        ]);
    });

    it('tells how the season stands, when the soil is ready, and the outlook, which says that it is simulated', async () => {
        fakeServer(answers);
        show(<Today />, ...at());
        expect(
            await screen.findByText(
                'Soil at 5 cm is 4.6 °C, 6.6 °C below normal. Season: 19 days behind normal. It may freeze again: it did on or after 18 April in 6 of 29 years like this one.',
            ),
        ).toBeTruthy();
        expect(screen.getByText('Soil of 5 °C: now.')).toBeTruthy();
        expect(screen.getByText('Soil of 10 °C: 27 Apr (25 Apr to 7 May).')).toBeTruthy();
        expect(screen.getByText('Soil of 15 °C: not in the next weeks (1 May or later).')).toBeTruthy();
        expect(screen.getByText('−3.1 °C to 8.4 °C')).toBeTruthy();
        expect(screen.getByText('Simulated, as this station is.')).toBeTruthy();
        expect(document.querySelectorAll('circle.ready')).toHaveLength(1);
    });

    it('is walked with the keys, and reads out what waiting costs and which varieties fit', async () => {
        fakeServer(answers);
        show(<Today />, ...at());
        await screen.findByText('Celery', { selector: 'button' });
        fireEvent.keyDown(window, { key: 'j' });
        fireEvent.keyDown(window, { key: 'j' });
        const reading = within(screen.getByRole('complementary'));
        expect(reading.getByRole('heading', { name: 'Carrot' })).toBeTruthy();
        expect(reading.getByText(/First harvest about 3 July 2026/).textContent).toContain(
            'Waiting a week delays the harvest by 1 day.',
        );
        expect(reading.getByText('60 days to spare.')).toBeTruthy();
        expect(reading.getByText('Young plants survive a light freeze.')).toBeTruthy();
        expect(reading.getByText('fits, harvest in 29 of 29 years')).toBeTruthy();
        expect(await reading.findByText('There is time for a variety of 85 days to maturity.')).toBeTruthy();
        fireEvent.keyDown(window, { key: 'k' });
        expect(reading.getByRole('heading', { name: 'Celery' })).toBeTruthy();
        fireEvent.keyDown(window, { key: 'Escape' });
        expect(reading.getByText(/This season’s weather to 17 April 2026/)).toBeTruthy();
    });

    it('finds crops, and shows one kind of act alone', async () => {
        fakeServer(answers);
        show(<Today />, ...at('?act=plant'));
        expect(await screen.findByText(/Garlic \(plant\)/)).toBeTruthy();
        expect(screen.queryByText('Carrot', { selector: 'button' })).toBeNull();
        fireEvent.change(screen.getByLabelText('Tasks to show'), { target: { value: '' } });
        fireEvent.change(screen.getByLabelText('Find a crop'), { target: { value: 'car' } });
        expect(screen.getByText('Carrot', { selector: 'button' })).toBeTruthy();
        expect(screen.queryByText('Celery', { selector: 'button' })).toBeNull();
    });

    it('asks for another date, and says that the record alone tells of it', async () => {
        const record: TodayData = {
            ...today,
            on: '2026-09-20',
            by: 'record',
            position: null,
            soil: null,
            freezes: null,
            nights: null,
            grounds: [],
            outlook: null,
        };
        const asked = fakeServer({ ...answers, 'GET /api/zones/bench/today?on=09-20': record });
        show(<Today />, ...at());
        fireEvent.change(await screen.findByLabelText('Date shown'), { target: { value: '2026-09-20' } });
        expect(await screen.findByText(/Based on 29 past years only/)).toBeTruthy();
        expect(screen.getByText(/are used, not this season/)).toBeTruthy();
        fireEvent.click(screen.getByText('Back to today'));
        expect(await screen.findByText(/6.6 °C below normal/)).toBeTruthy();
        expect(asked.filter((a) => a.what.includes('/today')).map((a) => a.what)).toContain(
            'GET /api/zones/bench/today?on=09-20',
        );
    });

    it('keeps the packets one has, and shows them alone', async () => {
        const asked = fakeServer({ ...answers, 'PUT /api/packets/carrot': ['carrot', 'celery'] });
        show(<Today />, ...at('?of=carrot.direct.sow-outdoors'));
        fireEvent.click(await screen.findByLabelText('I have this seed'));
        await waitFor(() => expect(asked.at(-1)).toEqual({ what: 'PUT /api/packets/carrot', body: { has: true } }));
        fireEvent.click(screen.getByLabelText('My seeds only'));
        expect(await screen.findByText('Celery', { selector: 'button' })).toBeTruthy();
        expect(screen.getByText('Carrot', { selector: 'button' })).toBeTruthy();
        expect(screen.queryByText('Lettuce', { selector: 'button' })).toBeNull();
    });

    it('says the evening’s work before a freeze: what to cover with what, and what to carry in', async () => {
        fakeServer(answers);
        show(<Today />, ...at());
        const night = (await screen.findByText('Night to 19 Apr')).closest('tr');
        expect(night?.textContent).toBe('Night to 19 Apr−2.4 °C20 of 29');
        expect(
            screen.getByText('Cover with a low tunnel, if they are out: 1 crop').parentElement?.textContent,
        ).toContain('Bush bean (young, to 0 °C)');
        expect(screen.getByText(/No cover protects 1 crop/).parentElement?.textContent).toContain(
            'Dill (grown, to −2 °C)',
        );
        expect(screen.getByText(/Carry in what is outside/).parentElement?.textContent).toContain('Sweet pepper');
    });

    it('has a draft with its evidence edited and published until a day', async () => {
        const told: Advisory[] = [];
        const asked = fakeServer({
            ...answers,
            'GET /api/zones/bench/advisories': () => told,
            'POST /api/zones/bench/advisories': () => {
                told.push(advisory(1, { ground: 'soil-10', text: 'Hold carrots.', until: '2026-04-24' }));
                return told[0]!;
            },
        });
        show(<Today />, ...at());
        expect(await screen.findByText(/8 days later than normal/)).toBeTruthy();
        expect(screen.getByText('In half of the years on record it did so by 19 April.')).toBeTruthy();
        fireEvent.click(await screen.findByText('Edit and publish'));
        fireEvent.change(screen.getByLabelText('What gardeners read'), { target: { value: 'Hold carrots.' } });
        fireEvent.change(screen.getByLabelText('Shown until'), { target: { value: '2026-04-24' } });
        fireEvent.click(screen.getByText('Publish on zone page'));
        expect(await screen.findByText('Hold carrots.')).toBeTruthy();
        expect(asked.find((a) => a.what.startsWith('POST'))?.body).toMatchObject({
            ground: 'soil-10',
            text: 'Hold carrots.',
            until: '2026-04-24',
        });
        // What is said already is no draft any more.
        await waitFor(() => expect(screen.queryByText(/8 days later than normal/)).toBeNull());
    });

    it('withdraws an advisory with the reason, and keeps earlier ones in sight', async () => {
        const withdrawn = { on: '2026-04-18', by: 'Wren Adeyemi-Holt', reason: 'It rained.' };
        let all = [advisory(2), advisory(1, { in_force: false, until: '2026-04-10' })];
        const asked = fakeServer({
            ...answers,
            'GET /api/zones/bench/advisories': () => all,
            'POST /api/advisories/2/withdrawal': () => {
                all = [advisory(2, { in_force: false, withdrawn }), ...all.slice(1)];
                return all[0]!;
            },
            'DELETE /api/advisories/2/withdrawal': () => {
                all = [advisory(2), ...all.slice(1)];
                return all[0]!;
            },
        });
        show(<Today />, ...at());
        fireEvent.click(await screen.findByText('Withdraw'));
        fireEvent.change(screen.getByLabelText('Reason (gardeners read it)'), {
            target: { value: 'It rained.' },
        });
        fireEvent.click(screen.getByText('Withdraw advisory'));
        expect(await screen.findByText(/Withdrawn on 18 April 2026 by Wren Adeyemi-Holt: It rained./)).toBeTruthy();
        expect(screen.getByText(/Shown until 10 April 2026./)).toBeTruthy();
        expect(asked.find((a) => a.what.startsWith('POST'))?.body).toEqual({ reason: 'It rained.' });
        fireEvent.click(screen.getByText('Undo'));
        expect(await screen.findByText('Withdraw')).toBeTruthy();
        expect(screen.queryByText(/Withdrawn on/)).toBeNull();
    });

    it('holds an act against the soil that was measured', async () => {
        const spot = (id: number, name: string, reading: number | null) => ({
            id,
            name,
            site: null,
            open: [],
            readings: [],
            now: reading === null ? null : { on: '2026-04-17', celsius: reading, reading, model: 6, usual: 11 },
        });
        fakeServer({
            ...answers,
            'GET /api/zones/bench/soil': {
                today: '2026-04-18',
                depth: 0.05,
                days: null,
                probe: null,
                spots: [spot(1, 'Bed 3', 7), spot(2, 'Pots', 6.9), spot(3, 'Cells', null)],
            },
        });
        show(<Today />, ...at('?of=carrot.direct.sow-outdoors'));
        expect(await screen.findByText('It needs soil of 7 °C.')).toBeTruthy();
        expect(screen.getByText('Bed 3: 7 °C on 17 April 2026, as a daily mean. Warm enough.')).toBeTruthy();
        expect(screen.getByText(/Pots: 6.9 °C .* Wait: it is too cold there./)).toBeTruthy();
        expect(screen.queryByText(/Cells/)).toBeNull();
        expect(screen.getByText('5 years above your confidence level.')).toBeTruthy();
    });

    it('says what the season is told without', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench/today': { ...today, record_ends: '2026-04-12', outlook: null, members: [2001, 2002] },
        });
        show(<Today />, ...at());
        expect((await screen.findByRole('note')).textContent).toBe(
            'The stations have sent nothing since 12 April 2026. The 5 days since are filled in with a straight line.' +
                ' There is no forecast: past years continue from today.' +
                ' Only 2 past years can be compared with this season: treat this as a rough guess.',
        );
    });

    it('says what is missing where there is no record', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench/today': new Refused(404, { message: 'This zone has no climate record yet.' }),
        });
        show(<Today />, ...at());
        expect(await screen.findByText('This zone has no climate record yet.')).toBeTruthy();
    });

    it('draws a bracket over each run of days that reach the standard', () => {
        expect(runs([true, true, false, true, false, false, true])).toEqual([
            [0, 1],
            [3, 3],
            [6, 6],
        ]);
        expect(runs([false, false])).toEqual([]);
    });
});

describe('what is over for now', () => {
    const act = (next: string | null) => ({ next: next === null ? null : { first: next, last: next, days: 1 } });

    it('comes again this season, next year, or never here, by the year of the ruler', () => {
        expect(again(act('10-14'), '2026-04-18', '01-01')).toBe('later');
        expect(again(act('03-01'), '2026-04-18', '01-01')).toBe('next-year');
        expect(again(act(null), '2026-04-18', '01-01')).toBe('not-here');
        // In the south the ruler begins with July.
        expect(again(act('03-01'), '2026-11-10', '07-01')).toBe('later');
        expect(again(act('08-01'), '2026-11-10', '07-01')).toBe('next-year');
    });
});
