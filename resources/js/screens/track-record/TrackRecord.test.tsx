import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, Refused, show, type AnswerTo } from '../../testing';
import { TrackRecord } from './TrackRecord';

type Told = Schema['TrackRecord'];

const crop = (name: string, with_: Partial<Schema['KeptCrop']>): Schema['KeptCrop'] => ({
    crop: name.toLowerCase(),
    name,
    family: 'Brassicaceae',
    route: 'direct',
    act: 'sow-outdoors',
    runs: 400,
    harvests: 300,
    promised: 0.85,
    kept: 0.75,
    years: 29,
    low: 0.72,
    high: 0.93,
    short: false,
    lately: { kept: 12, years: 15 },
    before: { kept: 13, years: 14 },
    turned: null,
    p: 0.5,
    lost: [{ outcome: 'heat', runs: 60 }],
    ...with_,
});

const SIDE = { harvested: 0, lost: 0, open: 0, causes: {} };

const NO_LOG = { inside: SIDE, outside: SIDE, picks: { all: 0, within: 0, median_miss: null } };

const told = (
    windows: Partial<NonNullable<Told['windows']>> | null,
    log: Partial<NonNullable<Told['log']>> = {},
): Told => ({
    done: windows ? 105 : 40,
    total: 105,
    standard: 'reliable',
    windows: windows && {
        total: { runs: 1000, harvests: 830, promised: 0.87, kept: 0.83 },
        crops_judged: 2,
        bins: [0.1, 0.3, 0.5, 0.7, 0.9].map((promised) => ({
            runs: 100,
            cases: 20,
            promised,
            kept: promised - 0.02,
            low: promised - 0.1,
            high: promised + 0.1,
        })),
        seasons: [{ first_month: 12, runs: 10, harvests: 9, promised: 0.9, kept: 0.9 }],
        families: [{ family: 'Brassicaceae', runs: 1000, harvests: 830, promised: 0.87, kept: 0.83 }],
        decades: [{ decade: 1990, runs: 1000, harvests: 830, promised: 0.87, kept: 0.83 }],
        crops: [
            crop('Pumpkin', {
                short: true,
                kept: 0.6,
                turned: 'worse',
                lately: { kept: 7, years: 15 },
                before: { kept: 14, years: 14 },
            }),
            crop('Radish', {}),
        ],
        ...windows,
    },
    log: windows && { in_force: NO_LOG, before: NO_LOG, ...log },
});

function open(
    answer: Told,
    season: AnswerTo<'GET /api/zones/bench/track-record/season'> = { done: 0, total: 30, record: null },
) {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/track-record': answer,
        'GET /api/zones/bench/climate': new Refused(404, { message: 'Not yet.' }),
        'GET /api/zones/bench/track-record/season': season,
    });
    show(<TrackRecord />, '/desk/zones/bench/track-record', '/desk/zones/:zone/track-record');
    return asked;
}

describe('The track record', () => {
    it('says in a sentence what was promised and what was kept, and which crops fell short', async () => {
        open(told({}));
        expect(await screen.findByText(/windows at 8 of 10 came to harvest in 83 of 100 plantings/)).toBeTruthy();
        expect(screen.getByText(/They had promised 87\. 2 crops were judged/)).toBeTruthy();
        expect(screen.getByText(/^One crop kept less than chance explains \(of 2 ways of growing\)/)).toBeTruthy();
        const row = within(screen.getByRole('row', { name: /^Pumpkin.*lost to heat/ }));
        expect(row.getAllByRole('cell').map((cell) => cell.textContent)).toEqual([
            'sow outdoors',
            '85%',
            '60%',
            '72% to 93%, 29 years',
            'lost to heat',
        ]);
        expect(screen.getByRole('row', { name: 'Dec–Feb 90% 90% 10' })).toBeTruthy();
        expect(screen.getByRole('row', { name: '1990s 87% 83% 1,000' })).toBeTruthy();
        const plot = screen.getByRole('img', { name: 'Promised against kept, in five groups of promises' });
        expect(plot.querySelectorAll('circle').length).toBe(5);
        expect(
            screen.getByText(
                /worse\. At least half of a year’s plantings came to harvest in 7 of the last 15 years, before in 14 of 14/,
            ),
        ).toBeTruthy();
        expect(screen.getByText(/No planting in the log can be judged yet/)).toBeTruthy();
    });

    it('asks again while crops are being judged, and at another confidence', async () => {
        const asked = open(told(null));
        expect(
            await screen.findByText('Judging crop by crop: 40 of 105 are done. You can leave this screen.'),
        ).toBeTruthy();
        await waitFor(
            () => expect(asked.filter(({ what }) => what.includes('track-record')).length).toBeGreaterThan(1),
            {
                timeout: 3000,
            },
        );
        fireEvent.click(screen.getByRole('radio', { name: '9 of 10' }));
        await waitFor(() => expect(asked.some(({ what }) => what.includes('standard=cautious'))).toBe(true));
    });

    it('holds the log against the calendar, and says where cases are few', async () => {
        open(
            told(
                { total: { runs: 0, harvests: 0, promised: null, kept: null }, crops: [] },
                {
                    in_force: {
                        inside: { harvested: 5, lost: 2, open: 1, causes: { pests: 1, frost: 1 } },
                        outside: { harvested: 0, lost: 1, open: 0, causes: { frost: 1 } },
                        picks: { all: 5, within: 4, median_miss: 6 },
                    },
                },
            ),
        );
        expect(await screen.findByText(/No crop has a window here at this confidence/)).toBeTruthy();
        expect(screen.getByRole('row', { name: 'In a window 5 2 1' })).toBeTruthy();
        expect(screen.getByRole('row', { name: 'Outside 0 1 0' })).toBeTruthy();
        expect(screen.getByText('Lost to frost (2) and pests (1).')).toBeTruthy();
        expect(
            screen.getByText(
                'First harvests: 4 of 5 within the dates we told. The others missed them by about 6 days.',
            ),
        ).toBeTruthy();
        expect(screen.getByText(/These are few cases/)).toBeTruthy();
        expect(screen.queryByText(/before the first calendar/)).toBeNull();
    });

    it('judges hold or go when it is asked to, and says how often each was right', async () => {
        const sum = { cases: 200, brier: 0.12, brier_of_record: 0.15, skill: 0.2, right: 170, right_of_record: 152 };
        const asked = open(told({}), { done: 0, total: 30, record: null });
        fireEvent.click(await screen.findByRole('button', { name: 'Judge hold or go' }));
        await waitFor(() =>
            expect(asked.some(({ what }) => what === 'POST /api/zones/bench/track-record/season')).toBe(true),
        );
        cleanup();
        // Stopped half way, it can be gone on with.
        open(told({}), { done: 15, total: 30, record: null });
        expect(await screen.findByText(/^Judging year by year: 15 of 30/)).toBeTruthy();
        expect(await screen.findByRole('button', { name: 'Judge hold or go' })).toBeTruthy();
        cleanup();
        open(told({}), { done: 30, total: 30, record: { total: sum, months: [{ month: 4, ...sum }], crops: [] } });
        expect(
            await screen.findByText(
                'Of 100 decisions to go or to hold, 85 were right by this season’s counts and 76 by the calendar alone (200 judged). So in 100 decisions this season was right 9 times more often. The counts themselves came 20.0% nearer to what happened (by the Brier score).',
            ),
        ).toBeTruthy();
        expect(screen.getByRole('row', { name: 'April 85 76 0.120 0.150 200' })).toBeTruthy();
    });
});
